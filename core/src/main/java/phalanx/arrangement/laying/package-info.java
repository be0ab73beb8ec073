/**
 * Plans both hands and lays the patterns. Start with {@link phalanx.arrangement.laying.Arranger}.
 *
 * <p>For the picking hand the way goes through four steps: {@code PlacedSteps} lays patterns along
 * the song, {@code SlotLaying} puts each step on the strings of the shape held, {@code SongLaying}
 * asks for the fingers, {@code LaidNotes} makes notes and {@link phalanx.arrangement.Gesture}s of
 * it.
 */
package phalanx.arrangement.laying;

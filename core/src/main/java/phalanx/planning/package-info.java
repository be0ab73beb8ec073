/**
 * Plans both hands and lays the patterns. Start with {@link phalanx.planning.Arranger}.
 *
 * <p>For the picking hand the way goes through four steps: {@code TimedSteps} lays patterns along
 * the song, {@code SlotNotes} puts each step on the strings of the shape held ({@code TuneNotes}
 * those of the tune), {@code SongNotes} asks for the fingers and leaves out what then is not there
 * ({@code LeftOutSlurs}), {@code FingeredNotes} makes notes and {@link
 * phalanx.arrangement.Gesture}s of it.
 */
package phalanx.planning;

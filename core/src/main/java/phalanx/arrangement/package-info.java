/**
 * What both hands do when: derived from a song by {@link phalanx.arrangement.Arranger}, never
 * edited or saved as truth. Start with {@link phalanx.arrangement.Arrangement}.
 *
 * <p>For the picking hand the way goes through four steps: {@code PlacedSteps} lays patterns along
 * the song, {@code SlotLaying} puts each step on the strings of the shape held, {@code Picking}
 * asks for the fingers, {@code Sounding} makes notes and {@link phalanx.arrangement.Gesture}s of
 * it. {@link phalanx.arrangement.PatternView} is how a pattern is shown and changed in its place.
 */
package phalanx.arrangement;

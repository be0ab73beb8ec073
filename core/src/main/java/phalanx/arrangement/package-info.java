/**
 * What both hands do when: the result of planning, derived from a song and never edited or saved as
 * truth. Start with {@link phalanx.arrangement.Arrangement}.
 *
 * <p>What stands on it: {@code tune} finds where a tune lies, {@code phalanx.planning} plans both
 * hands and makes the arrangement, {@code board} answers what a screen asks about one spot.
 */
package phalanx.arrangement;

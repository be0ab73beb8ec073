/**
 * What a screen asks about one spot of an arrangement: the other shapes of a chord, the places on
 * the neck, how a pattern falls, what one finger does. Start with {@link
 * phalanx.arrangement.board.SlotBoard}.
 */
package phalanx.arrangement.board;

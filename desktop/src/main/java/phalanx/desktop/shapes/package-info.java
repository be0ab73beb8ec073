/**
 * The Shapes screen: the neck with the shape of the chord at the cursor and a shape of the player's
 * own, the other shapes as cards, and beside them the reasons for the plan's choice.
 */
package phalanx.desktop.shapes;

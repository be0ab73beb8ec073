/**
 * What the picking hand does: patterns on roles, laid on a shape, with a finger for every stroke.
 *
 * <p>A {@link phalanx.picking.Pattern} says when which {@link phalanx.picking.Role} is struck,
 * {@link phalanx.picking.AlternatingThumb} is the family of them that ships, {@link
 * phalanx.picking.StringRoles} finds the strings for the roles on a given shape, and {@link
 * phalanx.picking.FingerAssignment} chooses the fingers.
 */
package phalanx.picking;

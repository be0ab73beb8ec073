/**
 * What the picking hand does: patterns on roles, laid on a shape, with a finger for every stroke.
 *
 * <p>A {@link phalanx.picking.Pattern} says when which {@link phalanx.picking.Stroke} is made on
 * which {@link phalanx.picking.Role}; {@link phalanx.picking.PatternRules} says what no hand can
 * do. {@link phalanx.picking.AlternatingThumb} makes one for any metre; a {@link
 * phalanx.picking.WrittenPattern} is read from text by {@link phalanx.picking.PatternReader}.
 * {@link phalanx.picking.StringRoles} finds the strings for the roles on a given shape and the
 * thumb's {@link phalanx.picking.ThumbRoute}; {@link phalanx.picking.FingerAssignment} chooses the
 * fingers.
 */
package phalanx.picking;

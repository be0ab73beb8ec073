/**
 * What the fretting hand can hold, what it costs, and which row of shapes serves a song best.
 *
 * <p>Two problems are solved here, each as problem, solver and result:
 *
 * <ul>
 *   <li>{@link phalanx.fretting.ShapeQuery} → {@link phalanx.fretting.ShapeSearch} → {@link
 *       phalanx.fretting.RankedShapes}: every fingered shape of one chord, depth-first over the
 *       strings; {@link phalanx.fretting.FingerSearch} fingers one set of frets.
 *   <li>{@link phalanx.fretting.PlanProblem} → {@link phalanx.fretting.PlanSolver} → {@link
 *       phalanx.fretting.ShapePlan}: one shape a slot, as a shortest path through the candidates,
 *       with {@link phalanx.fretting.ChangeCosts} between neighbours; {@code BestPlans} goes on to
 *       the next best.
 * </ul>
 *
 * <p>{@link phalanx.fretting.ShapeTrial} judges a shape of the player's own.
 *
 * <p>Strings are numbered 0 for ⑥, the lowest, to 5 for ①; what players read goes through {@link
 * phalanx.instrument.StringSign}.
 */
package phalanx.fretting;

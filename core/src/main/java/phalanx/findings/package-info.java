/**
 * What a player should know before practising a whole arrangement: {@link phalanx.findings.Review}
 * gathers what each rule finds, with its place, and the tempo up to which both hands hold. A rule
 * is a class; what was remarked while the hands were put together ({@link
 * phalanx.arrangement.Remark}) it takes from there. The planner asks it too: what is found weighs
 * in a plan.
 */
package phalanx.findings;

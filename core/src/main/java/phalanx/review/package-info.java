/**
 * What a player should know before practising a whole arrangement: {@link phalanx.review.Review}
 * gathers what each rule finds, with its place, and the tempo up to which both hands hold. A rule
 * is a class.
 */
package phalanx.review;

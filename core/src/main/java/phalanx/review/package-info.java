/**
 * What a player should know before practising a whole arrangement: {@link phalanx.review.Review}
 * gathers what each rule finds, with its place, and the tempo up to which both hands hold. A rule
 * is a class; what was remarked while the hands were put together ({@link
 * phalanx.arrangement.Remark}) it takes from there. {@link phalanx.review.Remedies} tries the ways
 * out of a finding by planning the song anew; the classes that end in {@code Ways} say which there
 * may be.
 */
package phalanx.review;

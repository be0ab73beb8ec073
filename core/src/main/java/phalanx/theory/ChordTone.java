package phalanx.theory;

/**
 * One tone of a chord.
 *
 * @param interval its interval above the root
 * @param essential whether a shape must sound it: the third and seventh, alterations, additions and
 *     the highest named extension are; the perfect fifth and the extensions below are not
 */
public record ChordTone(Interval interval, boolean essential) {}

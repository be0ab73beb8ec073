/**
 * What to practise and how: drills made from an arrangement, the ladder of tempos, when a drill is
 * due again, what a day holds, and what taps or a recording say about the time of the hands. Pure:
 * dates and moments are handed in. Start at {@link phalanx.practice.Drills} for what there is to
 * practise, {@link phalanx.practice.Today} for what is practised on a day and {@link
 * phalanx.practice.StrokeMatching} for how it went.
 */
package phalanx.practice;

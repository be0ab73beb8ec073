package phalanx.arrangement;

import phalanx.instrument.Finger;

/**
 * A finger of the fretting hand that stays in one place for a time.
 *
 * @param finger the finger
 * @param fret fret from the capo
 * @param lowString lowest string it holds, 0 for ⑥ to 5 for ①
 * @param highString highest string it holds; the same unless it is a barre
 * @param fromTick when it is down
 * @param toTick when it leaves
 * @param guides whether it then slides along its string into the next shape
 */
public record Hold(
    Finger finger,
    int fret,
    int lowString,
    int highString,
    int fromTick,
    int toTick,
    boolean guides) {}

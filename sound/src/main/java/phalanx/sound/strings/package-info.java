/**
 * Strings, body, hits and clicks as signals. The string is the extended plucked-string model of D.
 * Jaffe and J. Smith (Computer Music Journal 7(2), 1983): a delay loop whose filters have their own
 * delay subtracted, so that the pitch is exact; the loop filter is the one-pole filter of
 * Karjalainen, Välimäki and Tolonen (Computer Music Journal 22(3), 1998), fractional delay by
 * Lagrange interpolation as they describe it. Their commuted body is not used: the body is a bank
 * of resonances behind the strings, so that the strings can be damped without damping it.
 */
package phalanx.sound.strings;

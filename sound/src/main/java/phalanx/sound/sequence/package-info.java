/**
 * What is done to the strings and when, in seconds: read from a {@link
 * phalanx.performance.Performance} and nothing else.
 */
package phalanx.sound.sequence;

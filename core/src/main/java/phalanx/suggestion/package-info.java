/**
 * Ways out of what is hard: {@link phalanx.suggestion.Suggestions} tries edits of the song by
 * planning it anew and offers those with which a finding is gone; the classes that end in {@code
 * Ways} say which there may be.
 */
package phalanx.suggestion;

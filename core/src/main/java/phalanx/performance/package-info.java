/**
 * What sounds when: onsets and ends in seconds, and what stops each string. Findings, files and
 * whatever plays or listens read it, so that there is one account of time. Start with {@link
 * phalanx.performance.Performance}.
 */
package phalanx.performance;

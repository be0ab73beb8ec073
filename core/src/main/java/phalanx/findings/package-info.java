/**
 * What a player should know before practising: one rule, one class, one plain sentence with a
 * measured figure and its limit. Start with {@link phalanx.findings.Finding}.
 */
package phalanx.findings;

/**
 * Songs as people paste them: chords in or above the words. Their bars are not written; {@link
 * phalanx.formats.text.BarProposal} proposes them.
 */
package phalanx.formats.text;

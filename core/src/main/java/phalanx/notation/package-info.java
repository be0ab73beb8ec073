/**
 * How an arrangement is written down: which bars stand on the page and which are repeated ({@link
 * phalanx.notation.WrittenForm}), what each voice of a bar is written as ({@link
 * phalanx.notation.BarVoices}), how pitches are spelled. Neither paper nor files: the engraving and
 * the scores read it.
 */
package phalanx.notation;

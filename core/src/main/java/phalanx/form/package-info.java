/** The form of a song: which bars make a phrase. {@link phalanx.form.Phrases} is where to start. */
package phalanx.form;

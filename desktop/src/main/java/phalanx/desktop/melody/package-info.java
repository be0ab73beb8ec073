/**
 * The Melody screen: {@link phalanx.desktop.melody.StaffView} draws the tune over the bars, the
 * field of {@link phalanx.desktop.melody.MelodyScreen} types it, {@link
 * phalanx.desktop.melody.TunePanel} says what each note is and where it lies.
 */
package phalanx.desktop.melody;

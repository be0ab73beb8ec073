/**
 * The Guitar screen: a tuning on the bench, what its strings pull, where harmonics lie, and how to
 * reach it by ear. Start with {@link phalanx.desktop.guitar.GuitarScreenView}.
 */
package phalanx.desktop.guitar;

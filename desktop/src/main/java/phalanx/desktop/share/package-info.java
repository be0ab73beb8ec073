/**
 * The Share screen: the page as it will print, what a song is taken away as, and what comes in.
 * Start at {@link phalanx.desktop.share.ShareScreenView}; what is chosen and engraved is in {@link
 * phalanx.desktop.model.ShareViewModel}.
 */
package phalanx.desktop.share;

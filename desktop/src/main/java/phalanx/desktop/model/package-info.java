/**
 * What the window shows and edits, without any node: the song, its plan, the selection.
 *
 * <p>{@link phalanx.desktop.model.Workspace} holds the open song and {@link
 * phalanx.desktop.model.ViewModels} the models of the screens, one a panel. Sound: {@link
 * phalanx.desktop.model.PlaybackController} plays the song, {@link phalanx.desktop.model.Audition}
 * single things beside it. Practice: {@link phalanx.desktop.model.PracticeViewModel} with {@link
 * phalanx.desktop.model.PracticeWishes} and {@link phalanx.desktop.model.PracticeHistory}. Whatever
 * is looked for, heard and then taken is an {@code Offer}.
 */
package phalanx.desktop.model;

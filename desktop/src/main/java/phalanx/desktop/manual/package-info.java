/**
 * The manual inside the window: the pages of docs/manual, read from Markdown ({@link
 * phalanx.desktop.manual.ManualPage}), drawn as text that can be searched ({@link
 * phalanx.desktop.manual.MarkdownView}) and shown over the window ({@link
 * phalanx.desktop.manual.ManualSheet}).
 */
package phalanx.desktop.manual;

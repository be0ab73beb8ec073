/**
 * Which song goes to which file, as one state machine without a toolkit and without a disk: {@link
 * phalanx.desktop.document.OpenDocument} is what is known, {@link
 * phalanx.desktop.document.DocumentEvent} what happens, {@link phalanx.desktop.document.Request}
 * what is asked of disk and window then. Start at {@link
 * phalanx.desktop.document.DocumentMachine#on}.
 */
package phalanx.desktop.document;

package phalanx.desktop.screen;

/**
 * A key and what it does, as the sheet of keys shows it.
 *
 * @param keys the keys, as they are written on them
 * @param does what they do
 */
public record Shortcut(String keys, String does) {}

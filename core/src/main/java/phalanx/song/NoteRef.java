package phalanx.song;

import phalanx.picking.Role;

/**
 * One stroke of the pattern in a written bar.
 *
 * @param bar identity of the bar
 * @param tick where in the bar it is struck
 * @param role what it does there
 */
public record NoteRef(int bar, int tick, Role role) {}

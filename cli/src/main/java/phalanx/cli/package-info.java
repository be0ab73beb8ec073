/**
 * Phalanx without a window: one class a command, started by {@link phalanx.cli.PhalanxCommand}.
 *
 * <p>Data goes to standard output, messages to standard error. Exit code 0: done; 1: the input
 * cannot be used; 2: wrong usage.
 */
package phalanx.cli;

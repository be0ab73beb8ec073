/**
 * The player’s log: every attempt in one SQLite file, which several windows may write at once, and
 * which survives whatever ends the program. Start at {@link phalanx.practicelog.PracticeLog}.
 */
package phalanx.practicelog;

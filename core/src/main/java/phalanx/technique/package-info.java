/**
 * What is special about how single notes are played: harmonics, bends, vibrato, palm mute. Start
 * with {@link phalanx.technique.Technique}, which says where else a new one is told.
 */
package phalanx.technique;

/**
 * What may be written where, and how, so that nothing is lost: {@link
 * phalanx.formats.disk.AtomicFile} puts a file on the disk whole or not at all, {@link
 * phalanx.formats.disk.SafeTarget} says what must not be written over, {@link
 * phalanx.formats.disk.DiskTrouble} puts into words what the disk answers.
 */
package phalanx.formats.disk;

/**
 * What the tests of all modules share: {@link phalanx.testing.FixedSeeds} gives every property the
 * same values in every build and other ones in a soak, {@link phalanx.testing.Draws} builds things
 * so that failures shrink.
 */
package phalanx.testing;

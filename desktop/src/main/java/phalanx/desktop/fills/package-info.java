/** The shelf of fills beside the Arrange and the Melody screen. */
package phalanx.desktop.fills;

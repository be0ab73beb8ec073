/** What all sheets share: the heading, how blocks fall on pages; and the chart and learn sheets. */
package phalanx.engraving.sheet;

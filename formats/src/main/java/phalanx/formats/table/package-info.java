/** Plain tables of a plan for a spreadsheet. */
package phalanx.formats.table;

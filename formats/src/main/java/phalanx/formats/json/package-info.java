/** Arrangements, shapes and names as JSON, in the form the command line documents. */
package phalanx.formats.json;

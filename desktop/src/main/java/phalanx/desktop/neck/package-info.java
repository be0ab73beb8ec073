/** The neck in true scale: layout, painter, view. */
package phalanx.desktop.neck;

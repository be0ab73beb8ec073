/**
 * Engraved pages as files: PDF, SVG and PNG, all painted by {@link
 * phalanx.formats.page.Graphics2DPainter}.
 */
package phalanx.formats.page;

/**
 * The Arrange screen: the strip with both hands, the findings above it, the inspector beside it.
 * Start with {@link phalanx.desktop.arrange.ArrangeView}; the strip itself is drawn in {@code
 * phalanx.desktop.strip}.
 */
package phalanx.desktop.arrange;

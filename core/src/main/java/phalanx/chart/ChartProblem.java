package phalanx.chart;

/**
 * Something in a line of a chart that could not be read.
 *
 * @param column where, in characters from the start of the line, from 0
 * @param message what is wrong and what was expected
 */
public record ChartProblem(int column, String message) {}

/**
 * Damaged and odd input for every reader: {@link phalanx.fuzz.Job} is a reader with inputs to start
 * from, {@link phalanx.fuzz.Mutation} spoils them, {@link phalanx.fuzz.Fuzzing} runs them under a
 * watch. What it finds becomes a file among the test resources.
 */
package phalanx.fuzz;

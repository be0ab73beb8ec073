/**
 * How hard a plan is to play, as one number from 1.0 to 5.0 with its parts and the bars they lie
 * in. {@link phalanx.level.PlanLevel} is the result; {@link phalanx.level.Demand} the table of what
 * counts and how much; {@link phalanx.level.BarDemands} takes the measure of each bar.
 */
package phalanx.level;

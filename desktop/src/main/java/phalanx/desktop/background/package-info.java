/**
 * Work that would hold up the window: {@link phalanx.desktop.background.PlanService} plans and
 * tries on threads of its own, {@link phalanx.desktop.background.NewestAnswer} lets only the newest
 * answer through.
 */
package phalanx.desktop.background;

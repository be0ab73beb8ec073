/**
 * The Practice screen: today’s drills on the left, the drill at hand with its ladder in the middle,
 * steadiness and log beside. {@link phalanx.desktop.practice.PracticeScreenView} puts it together;
 * what it shows is {@link phalanx.desktop.model.PracticeViewModel}.
 */
package phalanx.desktop.practice;

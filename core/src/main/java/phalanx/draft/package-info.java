/**
 * Whole arrangements to choose from: a lead sheet played in several manners. {@link
 * phalanx.draft.Manner} says what one does, {@link phalanx.draft.Manners} reads them from open
 * text, {@link phalanx.draft.Drafts} plans and ranks them. A draft is an edit of the song that a
 * player could have made by hand; pins, and sections and bars that have something of their own,
 * stay.
 */
package phalanx.draft;

/**
 * What a listener would notice of an arrangement, counted: is each chord heard, does the bass come
 * with it and move well, is there more than one note going round, do open strings ring.
 */
package phalanx.review;

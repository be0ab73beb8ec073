/**
 * Where the notes of a tune lie over the shapes that are held, and which finger takes them. Start
 * with {@link phalanx.arrangement.tune.TuneFit}.
 */
package phalanx.arrangement.tune;

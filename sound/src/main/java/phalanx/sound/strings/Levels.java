package phalanx.sound.strings;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import phalanx.sound.Layer;

/**
 * How loud each layer is.
 *
 * @param decibels by layer, −40 to 12; 0 as it is played
 * @param muted layers that are not heard
 * @param solo where there are any, only these are heard; the metronome is heard all the same
 * @param volume of everything, 0 to 1
 */
public record Levels(
    Map<Layer, Double> decibels, Set<Layer> muted, Set<Layer> solo, double volume) {

  public static final double SOFTEST = -40;
  public static final double LOUDEST = 12;

  /** How far the tune stands out, dB. */
  public static final double TUNE = 6;

  /** As songs begin: the tune stands out, the volume is moderate. */
  public static final Levels USUAL = new Levels(Map.of(Layer.TUNE, TUNE), Set.of(), Set.of(), 0.6);

  /** As files are written: the same at full volume. */
  public static final Levels FILE = USUAL.withVolume(1);

  public Levels {
    Map<Layer, Double> all = new EnumMap<>(Layer.class);
    for (Layer layer : Layer.values()) {
      double wanted = decibels.getOrDefault(layer, 0.0);
      all.put(layer, Math.max(SOFTEST, Math.min(LOUDEST, wanted)));
    }
    decibels = Map.copyOf(all);
    muted = Set.copyOf(muted);
    solo = Set.copyOf(solo);
    volume = Math.max(0, Math.min(1, volume));
  }

  /** How high a sample is against full scale, dB; −120 for none. */
  public static double decibels(double sample) {
    return 20 * Math.log10(Math.max(1e-6, Math.abs(sample)));
  }

  /** Whether a layer is heard at all. */
  public boolean isHeard(Layer layer) {
    boolean alone = solo.isEmpty() || solo.contains(layer) || layer == Layer.CLICK;
    return alone && !muted.contains(layer);
  }

  /** The factor of a layer. */
  public double gain(Layer layer) {
    return isHeard(layer) ? Math.pow(10, decibels.get(layer) / 20) : 0;
  }

  /** With a layer at another level, dB. */
  public Levels with(Layer layer, double decibel) {
    Map<Layer, Double> all = new EnumMap<>(decibels);
    all.put(layer, decibel);
    return new Levels(all, muted, solo, volume);
  }

  /** With a layer silenced, or not. */
  public Levels muting(Layer layer, boolean on) {
    return new Levels(decibels, changed(muted, layer, on), solo, volume);
  }

  /** With a layer heard alone, or not. */
  public Levels soloing(Layer layer, boolean on) {
    return new Levels(decibels, muted, changed(solo, layer, on), volume);
  }

  /** With only some layers heard. */
  public Levels only(Set<Layer> heard) {
    Set<Layer> rest = EnumSet.allOf(Layer.class);
    rest.removeAll(heard);
    return new Levels(decibels, rest, Set.of(), volume);
  }

  /** At another volume, 0 to 1. */
  public Levels withVolume(double other) {
    return new Levels(decibels, muted, solo, other);
  }

  private static Set<Layer> changed(Set<Layer> all, Layer layer, boolean on) {
    Set<Layer> next = EnumSet.noneOf(Layer.class);
    next.addAll(all);
    if (on) {
      next.add(layer);
    } else {
      next.remove(layer);
    }
    return next;
  }
}

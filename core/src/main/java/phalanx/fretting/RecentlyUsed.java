package phalanx.fretting;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * What was worked out, kept for as long as it is asked for: what nobody has asked for between two
 * turns is forgotten. So a song that is edited thousands of times keeps what it is made of now, and
 * no more. Safe for use by several threads.
 */
public final class RecentlyUsed<K, V> {

  private static final int SPREAD = 512;

  private final int room;
  private volatile Map<K, V> young = empty();
  private volatile Map<K, V> old = Map.of();

  /**
   * Nothing yet.
   *
   * @param room so many are kept before a turn forgets anything
   */
  public RecentlyUsed(int room) {
    this.room = room;
  }

  /**
   * With so much room that what two threads work out seldom lies side by side: then one would wait
   * for the other.
   */
  private static <K, V> Map<K, V> empty() {
    return new ConcurrentHashMap<>(SPREAD);
  }

  /** What belongs to a key; worked out where it is not known. */
  public V get(K key, Function<K, V> work) {
    Map<K, V> now = young;
    V known = now.get(key);
    if (known != null) {
      return known;
    }
    V before = old.get(key);
    if (before != null) {
      V raced = now.putIfAbsent(key, before);
      return raced == null ? before : raced;
    }
    return now.computeIfAbsent(key, work);
  }

  /** What belongs to a key, if it was worked out before. */
  public Optional<V> peek(K key) {
    V known = young.get(key);
    return Optional.ofNullable(known == null ? old.get(key) : known);
  }

  /** Between two plans: what was not asked for since the turn before goes, once there is much. */
  public synchronized void turn() {
    if (young.size() > room) {
      old = young;
      young = empty();
    }
  }

  /** How many are kept. */
  public int size() {
    return young.size() + old.size();
  }
}

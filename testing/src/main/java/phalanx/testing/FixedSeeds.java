package phalanx.testing;

import java.lang.reflect.AnnotatedElement;
import java.util.Optional;
import net.jqwik.api.AfterFailureMode;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.AroundPropertyHook;
import net.jqwik.api.lifecycle.PropagationMode;
import net.jqwik.api.lifecycle.PropertyAttributes;
import net.jqwik.api.lifecycle.PropertyExecutionResult;
import net.jqwik.api.lifecycle.PropertyExecutor;
import net.jqwik.api.lifecycle.PropertyLifecycleContext;

/**
 * Gives every property a seed of its own that is the same in every build, so that green means
 * green. In a soak ({@code -Dphalanx.soak.seed=N}, {@code -Dphalanx.soak.times=N}) the seeds are
 * other ones and the tries more. Registered for all properties as a service.
 */
public final class FixedSeeds implements AroundPropertyHook {

  /** Names the number from which a soak's seeds are made. */
  static final String SOAK_SEED = "phalanx.soak.seed";

  /** Names how many times as many tries a soak makes. */
  static final String SOAK_TIMES = "phalanx.soak.times";

  /** Tries of a property that does not say how many: the engine's own default. */
  private static final int USUAL_TRIES = 1000;

  /** A property and its seed are the same for ever, however the build is run. */
  static long seed(String property, Optional<Long> soak) {
    long mixed = soak.orElse(20_261_124L);
    for (int i = 0; i < property.length(); i++) {
      mixed = 31 * mixed + property.charAt(i);
    }
    return mixed;
  }

  @Override
  public boolean appliesTo(Optional<AnnotatedElement> element) {
    return true;
  }

  @Override
  public PropagationMode propagateTo() {
    return PropagationMode.ALL_DESCENDANTS;
  }

  @Override
  public PropertyExecutionResult aroundProperty(
      PropertyLifecycleContext context, PropertyExecutor property) {
    PropertyAttributes attributes = context.attributes();
    Optional<Long> soak = Optional.ofNullable(Long.getLong(SOAK_SEED));
    if (attributes.seed().filter(s -> !s.equals(Property.SEED_NOT_SET)).isEmpty()) {
      attributes.setSeed(String.valueOf(seed(context.extendedLabel(), soak)));
    }
    // What failed in another run must not change what this one tries.
    attributes.setAfterFailure(AfterFailureMode.RANDOM_SEED);
    if (soak.isPresent()) {
      int tries = attributes.tries().filter(t -> t > 0).orElse(USUAL_TRIES);
      attributes.setTries(tries * Integer.getInteger(SOAK_TIMES, 1));
    }
    return property.execute();
  }
}

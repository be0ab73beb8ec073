package phalanx.testing;

import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.RandomDistribution;
import net.jqwik.api.providers.ArbitraryProvider;
import net.jqwik.api.providers.TypeUsage;

/** Lets a property ask for {@code @ForAll Draws}. */
public final class DrawsProvider implements ArbitraryProvider {

  private static final int HIGHEST = 1 << 20;
  private static final int LONGEST = 400;

  @Override
  public boolean canProvideFor(TypeUsage type) {
    return type.isOfType(Draws.class);
  }

  @Override
  public Set<Arbitrary<?>> provideFor(TypeUsage type, SubtypeProvider subtypes) {
    return Set.of(
        Arbitraries.integers()
            .between(0, HIGHEST)
            .withDistribution(RandomDistribution.uniform())
            .withoutEdgeCases()
            .list()
            .ofMinSize(0)
            .ofMaxSize(LONGEST)
            .withSizeDistribution(RandomDistribution.uniform())
            .map(Draws::new));
  }
}

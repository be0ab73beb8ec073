package phalanx.engraving;

import java.util.List;

/**
 * A song on paper.
 *
 * @param title what stands on its first page
 * @param pages at least one
 */
public record EngravedSheet(String title, List<Page> pages) {
  public EngravedSheet {
    pages = List.copyOf(pages);
  }
}

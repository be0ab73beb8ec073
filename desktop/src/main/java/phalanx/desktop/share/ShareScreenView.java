package phalanx.desktop.share;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.print.PageLayout;
import javafx.print.PageOrientation;
import javafx.print.PrinterJob;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyEvent;
import javafx.scene.paint.Color;
import phalanx.arrangement.Arrangement;
import phalanx.chart.TuneImport;
import phalanx.desktop.drawing.MarkPainter;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.files.Documents;
import phalanx.desktop.model.ShareViewModel;
import phalanx.desktop.model.ShareViewModel.Incoming;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.screen.SideTabs;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Page;
import phalanx.engraving.SheetOptions.Kind;
import phalanx.formats.SongFiles;
import phalanx.formats.tab.TextTab;
import phalanx.song.Bar;
import phalanx.song.Song;

/** The Share screen. */
public final class ShareScreenView extends ScreenView<ShareScreen, SideTabs> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut("1, 2, 3", Texts.of("shareScreenView.tabChartThePage")),
          new Shortcut(
              Texts.of("shareScreenView.pageUpPageDown"), Texts.of("shareScreenView.aPageBackA")),
          new Shortcut("P, Y", Texts.of("shareScreenView.printCopyAsText")),
          new Shortcut("F", Texts.of("shareScreenView.fullScreenToPlay")),
          new Shortcut("I, V", Texts.of("shareScreenView.chooseAFileTo")),
          new Shortcut("O, T", Texts.of("shareScreenView.openWhatCameIn")));

  private static final int BRING_IN = 2;

  private final Workspace workspace;
  private final ShareViewModel model;
  private final SongExchange songs;
  private final Documents documents;
  private Optional<Path> file = Optional.empty();

  /** Puts the screen together. */
  public ShareScreenView(
      Workspace workspace, Palette palette, SongExchange songs, Documents documents) {
    this(workspace, palette, songs, documents, new Actions());
  }

  private ShareScreenView(
      Workspace workspace,
      Palette palette,
      SongExchange songs,
      Documents documents,
      Actions actions) {
    super(
        new ShareScreen(
            workspace.models().share(), palette, actions::print, actions::copy, actions::stand),
        side(workspace, songs, documents, actions));
    this.workspace = workspace;
    this.songs = songs;
    this.documents = documents;
    model = workspace.models().share();
    actions.view = this;
  }

  /** Buttons are made before the screen stands; what they do comes with it. */
  private static final class Actions implements IncomingPanel.Incomings {
    private ShareScreenView view;

    void print() {
      view.print();
    }

    void copy() {
      view.copy();
    }

    void stand() {
      view.stand();
    }

    @Override
    public void choose() {
      view.songs.chooseFile().ifPresent(view::take);
    }

    @Override
    public void paste() {
      view.paste();
    }

    @Override
    public void takeFrom(String part) {
      view.file.ifPresent(at -> view.look(at, Optional.of(part)));
    }

    @Override
    public void open() {
      view.openIncoming();
    }

    @Override
    public void takeTune() {
      view.takeTune();
    }
  }

  private static SideTabs side(
      Workspace workspace, SongExchange songs, Documents documents, Actions actions) {
    return new SideTabs(
        "share-side",
        List.of(
            new SideTabs.Tab(
                "part-page", Texts.of("shareScreenView.page"), () -> new PageForm(workspace)),
            new SideTabs.Tab(
                "part-files",
                Texts.of("shareScreenView.files"),
                () -> new FormatList(workspace, songs, documents)),
            new SideTabs.Tab(
                "part-incoming",
                Texts.of("shareScreenView.bringIn"),
                () -> new IncomingPanel(workspace.models().share(), actions))));
  }

  @Override
  public Node keyboard() {
    return middle().pages();
  }

  @Override
  public void shown() {
    model.look(true);
  }

  @Override
  public void hidden() {
    model.look(false);
  }

  @Override
  public boolean key(KeyEvent event) {
    int kind = digit(event.getCode());
    if (kind >= 1 && kind <= Kind.values().length) {
      ShareScreen.choose(model, Kind.values()[kind - 1]);
      return true;
    }
    switch (event.getCode()) {
      case PAGE_DOWN -> middle().pages().turn(1);
      case PAGE_UP -> middle().pages().turn(-1);
      case F -> stand();
      case P -> print();
      case Y -> copy();
      case I -> songs.chooseFile().ifPresent(this::take);
      case V -> paste();
      case O -> openIncoming();
      case T -> takeTune();
      default -> {
        return false;
      }
    }
    return true;
  }

  /** The pages over the whole screen, to play from. */
  private void stand() {
    model
        .sheetProperty()
        .get()
        .filter(sheet -> !sheet.pages().isEmpty())
        .ifPresent(
            sheet ->
                StandView.open(
                    middle().getScene().getWindow(), workspace.song().title(), sheet.pages()));
  }

  /** A file that is dropped here is looked into first. */
  @Override
  public boolean take(Path dropped) {
    beside().openProperty().set(BRING_IN);
    look(dropped, Optional.empty());
    return true;
  }

  private void look(Path at, Optional<String> part) {
    documents
        .imports()
        .look(
            at,
            part,
            opened -> {
              file = Optional.of(at);
              model
                  .incomingProperty()
                  .set(Optional.of(new Incoming(IncomingPanel.name(at), part, opened)));
            });
  }

  private void paste() {
    String text = Clipboard.getSystemClipboard().getString();
    beside().openProperty().set(BRING_IN);
    if (text == null || text.isBlank()) {
      workspace.problems().add(Texts.of("shareScreenView.thereIsNoText"));
      return;
    }
    try {
      // A text of its own, so that it opens as any other file does and nothing is written over.
      Path pasted = Files.createTempFile("pasted-", ".txt");
      pasted.toFile().deleteOnExit();
      Files.write(pasted, text.getBytes(StandardCharsets.UTF_8));
      file = Optional.of(pasted);
      SongFiles.Opened opened = SongFiles.pasted(text);
      model
          .incomingProperty()
          .set(
              Optional.of(
                  new Incoming(
                      Texts.of("shareScreenView.whatWasPasted"), Optional.empty(), opened)));
    } catch (IOException e) {
      workspace.faults().tell(Texts.of("shareScreenView.theTextCouldNot"), e);
    }
  }

  private void openIncoming() {
    Optional<Incoming> there =
        model.incomingProperty().get().filter(i -> i.opened().song().isPresent());
    if (there.isPresent() && file.isPresent()) {
      songs.open(file.get(), there.get().part());
      model.incomingProperty().set(Optional.empty());
    }
  }

  private void takeTune() {
    Optional<Song> song = model.incomingProperty().get().flatMap(i -> i.opened().song());
    if (song.isEmpty() || song.get().tune().isEmpty()) {
      return;
    }
    int bar = workspace.chord().bar().map(Bar::id).orElse(0);
    TuneImport done = TuneImport.into(workspace.song(), song.get(), bar);
    workspace.edit(s -> done.song());
    workspace.problems().addAll(done.remarks());
    model.incomingProperty().set(Optional.empty());
  }

  private void copy() {
    Arrangement plan = workspace.arrangementProperty().get();
    if (plan != null && !plan.timeline().bars().isEmpty()) {
      ClipboardContent content = new ClipboardContent();
      content.putString(TextTab.write(plan));
      Clipboard.getSystemClipboard().setContent(content);
      workspace.problems().add(Texts.of("shareScreenView.theTablatureIsCopied"));
    }
  }

  /** Prints on the system’s printer, each page as it stands here. */
  private void print() {
    Optional<EngravedSheet> sheet = model.sheetProperty().get();
    PrinterJob job = sheet.isEmpty() ? null : PrinterJob.createPrinterJob();
    if (job == null) {
      String words =
          sheet.isEmpty()
              ? Texts.of("shareScreenView.thereIsNothingTo")
              : Texts.of("shareScreenView.thisSystemHasNo");
      workspace.problems().add(words);
      return;
    }
    if (!job.showPrintDialog(middle().getScene().getWindow())) {
      return;
    }
    for (Page page : sheet.get().pages()) {
      print(job, page);
    }
    job.endJob();
  }

  private static void print(PrinterJob job, Page page) {
    PageOrientation way =
        page.width() > page.height() ? PageOrientation.LANDSCAPE : PageOrientation.PORTRAIT;
    PageLayout layout =
        job.getPrinter()
            .createPageLayout(job.getJobSettings().getPageLayout().getPaper(), way, 0, 0, 0, 0);
    double scale =
        Math.min(
            layout.getPrintableWidth() / page.width(), layout.getPrintableHeight() / page.height());
    Canvas canvas = new Canvas(page.width() * scale, page.height() * scale);
    new MarkPainter(canvas.getGraphicsContext2D(), Color.BLACK, Color.rgb(70, 70, 70), Color.WHITE)
        .paint(page.marks(), 0, 0, scale);
    job.printPage(layout, canvas);
  }
}

package phalanx.desktop;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.ThrowableProxy;
import ch.qos.logback.core.AppenderBase;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Control;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.frame.SongController;
import phalanx.desktop.model.FaultNotices;
import phalanx.formats.SongFiles;
import phalanx.instrument.Hand;
import phalanx.song.History;
import phalanx.song.Song;
import phalanx.song.SongBounds;

/**
 * Drives the real window at random: clicks, drags, wheel, keys and typing wherever something is.
 * Any fault of the program’s own, any notice of one and any answer that comes too late ends the
 * walk, with its seed and its last steps.
 */
final class Wanderer {

  private static final int STEPS_TOLD = 25;

  private final long seed;
  private final Random random;
  private final long patienceMs;
  private Robot robot;
  private final Path folder;
  private final Deque<String> steps = new ArrayDeque<>();
  private final AtomicReference<String> noticed = new AtomicReference<>();
  private final AtomicReference<String> fault = new AtomicReference<>();
  private final Map<String, Integer> counts = new TreeMap<>();
  private final PhalanxApp app = new PhalanxApp();
  private Stage stage;
  private volatile Song first = Song.untitled();
  private long slowest;

  /**
   * A walk.
   *
   * @param patienceMs an answer that takes longer ends it
   */
  Wanderer(long seed, long patienceMs) {
    this.seed = seed;
    this.patienceMs = patienceMs;
    random = new Random(seed);
    try {
      folder = Files.createTempDirectory(Path.of("target").toAbsolutePath(), "wander-");
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What was done, by kind, and the slowest answer, ms. */
  record Report(Map<String, Integer> counts, long slowestMs) {}

  /** Something that must never happen. */
  static final class Fault extends AssertionError {
    private static final long serialVersionUID = 1;

    Fault(String message) {
      super(message);
    }
  }

  /** Walks so many steps in a window of its own. */
  Report walk(int count) {
    AppenderBase<ILoggingEvent> watch = watch();
    try {
      // Putting the first window together is no answer to anything.
      onInterface(this::open, 15 * patienceMs);
      onInterface(() -> {}, 15 * patienceMs);
      for (int step = 0; step < count; step++) {
        step();
        settle();
      }
      quiet();
      comesBack();
      return new Report(counts, slowest);
    } finally {
      ((Logger) LoggerFactory.getLogger(FaultNotices.class)).detachAppender(watch);
      Platform.runLater(
          () -> {
            app.stop();
            stage.hide();
          });
    }
  }

  private AppenderBase<ILoggingEvent> watch() {
    AppenderBase<ILoggingEvent> appender =
        new AppenderBase<>() {
          @Override
          protected void append(ILoggingEvent event) {
            StringWriter trace = new StringWriter();
            if (event.getThrowableProxy() instanceof ThrowableProxy t) {
              if (isOfDisplay(t.getThrowable())) {
                return;
              }
              trace.write(told(t.getThrowable()));
            }
            fault.compareAndSet(null, event.getMessage() + "\n" + trace);
          }
        };
    appender.start();
    ((Logger) LoggerFactory.getLogger(FaultNotices.class)).addAppender(appender);
    return appender;
  }

  /** The display in memory now and then paints a window of the size it had before. */
  private static boolean isOfDisplay(Throwable thrown) {
    StackTraceElement[] trace = thrown.getStackTrace();
    return trace.length > 0
        && Stream.of(trace).limit(3).anyMatch(f -> f.getClassName().startsWith("com.sun.glass.ui"));
  }

  /** What was called, from where it failed to our own, without what repeats. */
  private static String told(Throwable thrown) {
    return thrown
        + Stream.of(thrown.getStackTrace())
            .filter(f -> f.getClassName().startsWith("phalanx"))
            .map(f -> "\n    " + f)
            .distinct()
            .limit(40)
            .reduce("", String::concat);
  }

  private void open() {
    stage = new Stage();
    robot = new Robot();
    Optional<Path> song =
        random.nextInt(4) == 0
            ? Optional.empty()
            : Optional.of(
                demo(WandererWords.SONGS.get(random.nextInt(WandererWords.SONGS.size()))));
    app.show(stage, song, new PlayerFolder(folder.resolve("player")), new AnyFile());
    app.documents()
        .documentProperty()
        .addListener(
            (o, before, now) -> {
              if (before.id() != now.id()) {
                first = now.song();
              }
            });
    app.workspace()
        .problems()
        .addListener(
            (javafx.collections.ListChangeListener.Change<? extends String> c) ->
                app.workspace().problems().stream()
                    .filter(p -> p.contains("fault of Phalanx"))
                    .findFirst()
                    .ifPresent(this::noticed));
  }

  /** The log tells more, a moment later perhaps. */
  private void noticed(String notice) {
    noticed.compareAndSet(null, notice);
  }

  /** A demo song, copied so that it may be saved over. */
  private Path demo(String name) {
    Path copy = folder.resolve(name + SongFiles.ENDING);
    try {
      if (!Files.exists(copy)) {
        Files.copy(Path.of("..", "demo", name + SongFiles.ENDING), copy);
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return copy;
  }

  /** Chooses files of a folder of its own, or none. */
  private final class AnyFile implements SongController.FileAsker {

    private Optional<Path> any(List<String> names) {
      return random.nextInt(3) == 0
          ? Optional.empty()
          : Optional.of(folder.resolve(names.get(random.nextInt(names.size()))));
    }

    @Override
    public Optional<Path> toOpen() {
      Optional<Path> own = any(List.of("one.phalanx.json", "two.phalanx.json", "plan.musicxml"));
      return random.nextBoolean()
          ? own
          : Optional.of(demo(WandererWords.SONGS.get(random.nextInt(3))));
    }

    @Override
    public Optional<Path> toImport() {
      return any(List.of("plan.musicxml", "none.musicxml"));
    }

    @Override
    public Optional<Path> toExport(String title) {
      return any(List.of("plan.musicxml", "plan.txt", "plan.json", "one.phalanx.json", "x.odd"));
    }

    @Override
    public Optional<Path> toSave(String title) {
      return any(List.of("one", "two.phalanx.json", "three"));
    }
  }

  private void did(String kind, String what) {
    counts.merge(kind, 1, Integer::sum);
    steps.addLast(what);
    if (steps.size() > STEPS_TOLD) {
      steps.removeFirst();
    }
  }

  private void step() {
    switch (random.nextInt(20)) {
      case 0, 1, 2, 3, 4 -> click(control());
      case 5, 6 -> click(canvas());
      case 7 -> click(anywhere());
      case 8 -> drag();
      case 9 -> wheel();
      case 10, 11, 12 -> key();
      case 13, 14 -> command();
      case 15, 16, 17 -> type();
      case 18 -> back();
      default -> sometimes();
    }
  }

  // Where

  private Point2D control() {
    return on(n -> n instanceof Control);
  }

  private Point2D canvas() {
    return on(n -> n instanceof Canvas);
  }

  /** A point of something that can be seen. */
  private Point2D on(java.util.function.Predicate<Node> wanted) {
    AtomicReference<Point2D> found = new AtomicReference<>();
    onInterface(
        () -> {
          List<Node> all = new ArrayList<>();
          collect(stage.getScene().getRoot(), wanted, all);
          if (!all.isEmpty()) {
            Node node = all.get(random.nextInt(all.size()));
            Bounds at = node.localToScreen(node.getLayoutBounds());
            if (at != null) {
              found.set(
                  new Point2D(
                      at.getMinX() + at.getWidth() * (0.05 + 0.9 * random.nextDouble()),
                      at.getMinY() + at.getHeight() * (0.05 + 0.9 * random.nextDouble())));
            }
          }
        });
    return inWindow(Optional.ofNullable(found.get()).orElseGet(this::anywhere));
  }

  private void collect(Node node, java.util.function.Predicate<Node> wanted, List<Node> all) {
    if (!node.isVisible() || node.isDisabled()) {
      return;
    }
    if (wanted.test(node)) {
      all.add(node);
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(n -> collect(n, wanted, all));
    }
  }

  private Point2D anywhere() {
    return new Point2D(
        stage.getX() + random.nextDouble() * stage.getWidth(),
        stage.getY() + random.nextDouble() * stage.getHeight());
  }

  private Point2D inWindow(Point2D at) {
    return new Point2D(
        Math.max(stage.getX() + 1, Math.min(stage.getX() + stage.getWidth() - 2, at.getX())),
        Math.max(stage.getY() + 1, Math.min(stage.getY() + stage.getHeight() - 2, at.getY())));
  }

  // What

  private void click(Point2D at) {
    Optional<KeyCode> held =
        switch (random.nextInt(12)) {
          case 0 -> Optional.of(KeyCode.SHIFT);
          case 1 -> Optional.of(KeyCode.CONTROL);
          default -> Optional.empty();
        };
    boolean twice = random.nextInt(8) == 0;
    MouseButton button = random.nextInt(15) == 0 ? MouseButton.SECONDARY : MouseButton.PRIMARY;
    did(
        "clicks",
        "click "
            + button
            + (twice ? " twice" : "")
            + held.map(k -> " with " + k).orElse("")
            + " at "
            + words(at));
    onInterface(
        () -> {
          held.ifPresent(robot::keyPress);
          robot.mouseMove(at);
          robot.mousePress(button);
          robot.mouseRelease(button);
          if (twice) {
            robot.mousePress(button);
            robot.mouseRelease(button);
          }
          held.ifPresent(robot::keyRelease);
        });
  }

  private String words(Point2D at) {
    AtomicReference<String> under = new AtomicReference<>("");
    onInterface(
        () -> {
          Point2D in = stage.getScene().getRoot().screenToLocal(at);
          under.set(in == null ? "" : name(stage.getScene().getRoot(), in));
        });
    return Math.round(at.getX()) + "," + Math.round(at.getY()) + " " + under.get();
  }

  /** The ids of what lies under a point, outside in. */
  private static String name(Node node, Point2D at) {
    String own = node.getId() == null ? "" : "#" + node.getId() + " ";
    if (node instanceof Parent parent) {
      List<Node> all = parent.getChildrenUnmodifiable();
      for (int i = all.size() - 1; i >= 0; i--) {
        Node child = all.get(i);
        Point2D in = child.parentToLocal(at);
        if (child.isVisible() && child.contains(in)) {
          return own + name(child, in);
        }
      }
    }
    return own;
  }

  private void drag() {
    Point2D from = canvas();
    Point2D to = random.nextBoolean() ? canvas() : control();
    did("drags", "drag from " + words(from) + "to " + words(to));
    onInterface(
        () -> {
          robot.mouseMove(from);
          robot.mousePress(MouseButton.PRIMARY);
        });
    onInterface(() -> robot.mouseMove(from.midpoint(to)));
    onInterface(() -> robot.mouseMove(to));
    onInterface(() -> robot.mouseRelease(MouseButton.PRIMARY));
  }

  private void wheel() {
    Point2D at = canvas();
    int turns = 1 + random.nextInt(12);
    boolean zoom = random.nextInt(3) == 0;
    did("wheel", "wheel " + turns + (zoom ? " with Ctrl" : "") + " at " + words(at));
    int turn = random.nextBoolean() ? 1 : -1;
    onInterface(
        () -> {
          robot.mouseMove(at);
          if (zoom) {
            robot.keyPress(KeyCode.CONTROL);
          }
          robot.mouseWheel(turn * turns);
          if (zoom) {
            robot.keyRelease(KeyCode.CONTROL);
          }
        });
  }

  private void key() {
    int times = 1 + random.nextInt(3);
    KeyCode key = WandererWords.KEYS.get(random.nextInt(WandererWords.KEYS.size()));
    boolean shift = random.nextInt(5) == 0;
    boolean alt = random.nextInt(12) == 0;
    did("keys", (shift ? "Shift " : "") + (alt ? "Alt " : "") + key + " × " + times);
    for (int t = 0; t < times; t++) {
      press(shift ? List.of(KeyCode.SHIFT) : alt ? List.of(KeyCode.ALT) : List.of(), key);
    }
  }

  private void command() {
    KeyCode key = WandererWords.COMMANDS.get(random.nextInt(WandererWords.COMMANDS.size()));
    boolean shift = random.nextInt(6) == 0;
    did("commands", "Ctrl " + (shift ? "Shift " : "") + key);
    press(shift ? List.of(KeyCode.CONTROL, KeyCode.SHIFT) : List.of(KeyCode.CONTROL), key);
  }

  private void press(List<KeyCode> held, KeyCode key) {
    onInterface(
        () -> {
          held.forEach(robot::keyPress);
          robot.keyPress(key);
          robot.keyRelease(key);
          held.forEach(robot::keyRelease);
        });
  }

  private void type() {
    List<String> texts =
        switch (random.nextInt(4)) {
          case 0 -> WandererWords.TUNES;
          case 1 -> WandererWords.ODD;
          default -> WandererWords.CHORDS;
        };
    String text = texts.get(random.nextInt(texts.size()));
    boolean enter = random.nextInt(3) > 0;
    did("typed", "type “" + text + (enter ? "” Enter" : "”"));
    for (String sign : text.split("")) {
      onInterface(() -> typed(sign));
    }
    if (enter) {
      press(List.of(), KeyCode.ENTER);
    }
  }

  /** A sign as a keyboard gives it that has it, wherever the keyboard is. */
  private void typed(String sign) {
    Node owner = stage.getScene().getFocusOwner();
    Event.fireEvent(
        owner == null ? stage.getScene() : owner,
        new KeyEvent(KeyEvent.KEY_TYPED, sign, "", KeyCode.UNDEFINED, false, false, false, false));
  }

  private void back() {
    int times = 1 + random.nextInt(6);
    boolean forth = random.nextInt(3) == 0;
    did("undo and redo", (forth ? "redo × " : "undo × ") + times);
    for (int t = 0; t < times; t++) {
      onInterface(forth ? app.workspace()::redo : app.workspace()::undo);
    }
  }

  private void sometimes() {
    switch (random.nextInt(6)) {
      case 0 -> {
        String name = WandererWords.SONGS.get(random.nextInt(WandererWords.SONGS.size()));
        did("songs", "open " + name);
        onInterface(() -> app.documents().open(demo(name)));
      }
      case 1 -> {
        did("songs", "new");
        onInterface(() -> app.documents().startNew());
      }
      case 2, 3 -> {
        // The display in memory has 1280 × 800 points; no window may be larger.
        double width = 500 + random.nextInt(780);
        double height = 350 + random.nextInt(450);
        did("sizes", "size " + Math.round(width) + "x" + Math.round(height));
        onInterface(
            () -> {
              stage.setWidth(width);
              stage.setHeight(height);
            });
      }
      case 4 -> {
        did("plays", "play or pause");
        onInterface(() -> app.workspace().models().sound().toggle());
      }
      default -> {
        did("waits", "wait");
        sleep(50 + random.nextInt(400));
      }
    }
  }

  // Afterwards

  /** Whatever was asked of the interface is answered in time, and nothing has gone wrong. */
  private void settle() {
    long before = System.nanoTime();
    onInterface(() -> {});
    slowest = Math.max(slowest, (System.nanoTime() - before) / 1_000_000);
    check();
  }

  private void check() {
    if (fault.get() != null) {
      throw failed(fault.get());
    } else if (noticed.get() != null && !noticed.get().contains("Something did not work")) {
      throw failed(noticed.get());
    }
  }

  private Fault failed(String what) {
    return new Fault(
        "seed " + seed + ": " + what + "\nthe last steps:\n  " + String.join("\n  ", steps));
  }

  /** Until no plan is on its way. */
  private void quiet() {
    did("end", "the end of the walk");
    onInterface(() -> app.workspace().models().sound().stop());
    long from = System.nanoTime();
    AtomicReference<Boolean> planning = new AtomicReference<>(true);
    while (planning.get()) {
      onInterface(() -> planning.set(app.workspace().planningProperty().get()));
      check();
      if ((System.nanoTime() - from) / 1_000_000 > 5 * patienceMs) {
        throw failed("a plan did not come");
      }
      sleep(10);
    }
  }

  /** All the way back is the first song, all the way forth the last; saved, it is read the same. */
  private void comesBack() {
    onInterface(() -> stage.getScene().getRoot().requestFocus());
    settle();
    AtomicReference<Song> last = new AtomicReference<>();
    AtomicReference<Song> back = new AtomicReference<>();
    AtomicReference<Song> forth = new AtomicReference<>();
    onInterface(
        () -> {
          while (history().canRedo()) {
            app.workspace().redo();
          }
          last.set(app.workspace().song());
          while (history().canUndo()) {
            app.workspace().undo();
          }
          back.set(app.workspace().song());
          while (history().canRedo()) {
            app.workspace().redo();
          }
          forth.set(app.workspace().song());
        });
    if (!plain(back.get()).equals(plain(first))) {
      throw failed(
          "undone to the start it is another song:\n" + back.get() + "\nbut was\n" + first);
    } else if (!forth.get().equals(last.get())) {
      throw failed("redone to the end it is another song");
    }
    Path file = folder.resolve("last" + SongFiles.ENDING);
    try {
      SongFiles.save(last.get(), file);
    } catch (IOException | SongBounds.TooLarge e) {
      throw failed("the song cannot be saved: " + e);
    }
    SongFiles.Opened read = SongFiles.open(file);
    if (!read.song().equals(Optional.of(last.get())) || !read.problems().isEmpty()) {
      throw failed("saved and read again it is another song: " + read.problems());
    }
    quiet();
  }

  private History<Song> history() {
    return app.workspace().historyProperty().get();
  }

  /** Without what saving and the player’s hand do to a song throughout. */
  private static Song plain(Song song) {
    Song named = song.withId(phalanx.song.SongId.parse("x").orElseThrow());
    return named.hasOwnHand() ? named : named.withHand(Hand.MEDIUM);
  }

  private static void sleep(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void onInterface(Runnable work) {
    onInterface(work, patienceMs);
  }

  private void onInterface(Runnable work, long patience) {
    CountDownLatch done = new CountDownLatch(1);
    AtomicReference<Throwable> thrown = new AtomicReference<>();
    Platform.runLater(
        () -> {
          try {
            work.run();
          } catch (RuntimeException | Error e) {
            thrown.set(e);
          } finally {
            done.countDown();
          }
        });
    try {
      long worked = interfaceNanos();
      long from = System.nanoTime();
      while (!done.await(patience, TimeUnit.MILLISECONDS)) {
        // On a busy machine the interface may wait for a processor; that is no fault of ours.
        boolean busy = (interfaceNanos() - worked) / 1_000_000 > 3 * patience / 4;
        boolean stuck = (System.nanoTime() - from) / 1_000_000 > 15 * patience;
        if (busy || stuck) {
          throw failed("the window did not answer within " + patience + " ms\n" + where());
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    if (thrown.get() != null) {
      StringWriter trace = new StringWriter();
      thrown.get().printStackTrace(new PrintWriter(trace));
      throw failed(trace.toString());
    }
  }

  /** Processor time of the interface’s thread so far, ns. */
  private static long interfaceNanos() {
    ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    return Thread.getAllStackTraces().keySet().stream()
        .filter(t -> t.getName().contains("JavaFX Application"))
        .mapToLong(t -> threads.getThreadCpuTime(t.getId()))
        .sum();
  }

  /** What the interface’s thread is at. */
  private static String where() {
    return Thread.getAllStackTraces().entrySet().stream()
        .filter(e -> e.getKey().getName().contains("JavaFX Application"))
        .flatMap(e -> Stream.of(e.getValue()).limit(25))
        .map(StackTraceElement::toString)
        .reduce("", (a, b) -> a + "\n    " + b);
  }
}

package phalanx.desktop.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import phalanx.song.Song;

/** The orders of events in which songs once went to the wrong file, and their neighbours. */
class DocumentMachineTest {

  private static final Path A = Path.of("/a.phalanx.json");
  private static final Path B = Path.of("/b.phalanx.json");

  private final FakeDisk disk = new FakeDisk();
  private final FakeWindow window = new FakeWindow(disk, "here");

  private static Song song(String title) {
    return Song.untitled().withTitle(title);
  }

  private void open(Path file) {
    window.wants(new Intent.Open(file));
    window.disk.settle();
  }

  private String lying(Path file) {
    return disk.files.get(file).song().title();
  }

  @Test
  void aQuestionAboutOneSongsFileIsGoneOnceAnotherSongIsOpen() {
    disk.write(A, song("A"));
    disk.write(B, song("B"));
    open(A);
    disk.write(A, song("theirs"));
    window.tick();
    window.disk.settle();
    Question question = window.document.question().orElseThrow();
    open(B);
    assertThat(window.document.question()).isEmpty();
    window.happens(
        new DocumentEvent.Answered(question.number(), Question.Answer.OVER, window.fresh()));
    window.disk.settle();
    assertThat(lying(A)).isEqualTo("theirs");
    assertThat(lying(B)).isEqualTo("B");
  }

  @Test
  void aSaveThatIsAnsweredAfterNewLeavesTheNewSongWithoutAFile() {
    window.edit("first");
    window.saveAs(A, true);
    window.wants(new Intent.New());
    assertThat(window.title()).as("it waits until the song is safe").isEqualTo("first");
    window.disk.settle();
    assertThat(window.title()).isEqualTo("Untitled");
    assertThat(window.document.file()).isEmpty();
    window.edit("second");
    window.save();
    assertThat(window.naming).isPresent();
    assertThat(lying(A)).isEqualTo("first");
  }

  @Test
  void whatIsTypedWhileASaveIsOnItsWayIsAskedAboutBeforeNew() {
    window.edit("first");
    window.saveAs(A, true);
    window.wants(new Intent.New());
    window.edit("more");
    window.disk.settle();
    assertThat(window.title()).isEqualTo("more");
    assertThat(window.document.question()).containsInstanceOf(Question.Unsaved.class);
    window.answer(Question.Answer.DROP);
    assertThat(window.title()).isEqualTo("Untitled");
  }

  @Test
  void whatIsTypedWhileAFileIsReadIsAskedAboutBeforeItIsShown() {
    disk.write(A, song("A"));
    window.wants(new Intent.Open(A));
    window.edit("quick");
    window.disk.settle();
    assertThat(window.title()).isEqualTo("quick");
    assertThat(window.document.question()).containsInstanceOf(Question.Unsaved.class);
    window.answer(Question.Answer.DROP);
    assertThat(window.title()).isEqualTo("A");
  }

  @Test
  void aNameTheChooserDidNotAskAboutIsAskedAboutWhenSomethingLiesThere() {
    disk.write(A, song("waltz"));
    window.edit("mine");
    window.saveAs(A, false);
    window.disk.settle();
    assertThat(lying(A)).isEqualTo("waltz");
    assertThat(window.document.question()).containsInstanceOf(Question.Taken.class);
    window.answer(Question.Answer.OVER);
    window.disk.settle();
    assertThat(lying(A)).isEqualTo("mine");
    assertThat(window.document.file()).contains(A);
  }

  @Test
  void aNameChosenForASongThatIsNoLongerOpenIsNotUsed() {
    disk.write(A, song("A"));
    window.wants(new Intent.Open(A));
    window.happens(new DocumentEvent.SaveAsAsked());
    window.disk.settle();
    window.choose(B, true);
    window.disk.settle();
    assertThat(disk.files).doesNotContainKey(B);
    assertThat(window.asked).anyMatch(Request.Tell.class::isInstance);
  }

  @Test
  void theCopyLeftBehindGoesOnlyOnceANewOneLies() {
    LeftCopy left = leftBehind();
    window.wants(new Intent.Recover(left));
    window.disk.carryOut(true);
    window.disk.settle();
    assertThat(disk.copies).containsKey("there");
    window.tick();
    window.disk.settle();
    assertThat(disk.copies).containsOnlyKeys("here");
    assertThat(window.document.isUnsaved()).isTrue();
  }

  private LeftCopy leftBehind() {
    FakeWindow other = new FakeWindow(disk, "there");
    other.edit("left");
    other.tick();
    other.disk.settle();
    other.disk.end();
    return disk.left().get(0);
  }

  @Test
  void aRecoveredSongDoesNotReplaceWhatWasSavedAfterTheCrash() {
    disk.write(A, song("A"));
    FakeWindow other = new FakeWindow(disk, "there");
    other.wants(new Intent.Open(A));
    other.disk.settle();
    other.edit("crashed");
    other.tick();
    other.disk.settle();
    other.disk.end();
    disk.write(A, song("later"));
    window.wants(new Intent.Recover(disk.left().get(0)));
    window.save();
    window.disk.settle();
    assertThat(lying(A)).isEqualTo("later");
    assertThat(window.document.question()).containsInstanceOf(Question.Changed.class);
  }

  @Test
  void twoSavesInARowBothCountAsOurs() {
    disk.write(A, song("A"));
    open(A);
    window.edit("one");
    window.save();
    window.edit("two");
    window.save();
    window.disk.settle();
    assertThat(lying(A)).isEqualTo("two");
    assertThat(window.document.isUnsaved()).isFalse();
    assertThat(window.document.question()).isEmpty();
  }

  @Test
  void savingOnWhileAnotherNameIsOnItsWayGoesToTheOtherName() {
    disk.write(A, song("A"));
    open(A);
    window.edit("one");
    window.saveAs(B, true);
    window.edit("two");
    window.save();
    window.disk.settle();
    assertThat(lying(A)).isEqualTo("A");
    assertThat(lying(B)).isEqualTo("two");
    assertThat(window.document.file()).contains(B);
  }

  @Test
  void aCopyUnderAnotherNameIsKnownByAnotherIdAndTheSameNameKeepsIt() {
    window.edit("one");
    window.saveAs(A, true);
    window.disk.settle();
    window.saveAs(A, true);
    window.disk.settle();
    Song first = disk.files.get(A).song();
    assertThat(first.id()).isPresent().isEqualTo(window.document.song().id());
    window.saveAs(B, true);
    window.disk.settle();
    assertThat(disk.files.get(B).song().id()).isPresent().isNotEqualTo(first.id());
  }

  @Test
  void aFailedSaveKeepsTheWindowOpenAndTheSongUnsaved() {
    window.edit("one");
    window.saveAs(A, true);
    window.wants(new Intent.Close());
    window.disk.carryOut(true);
    window.disk.settle();
    assertThat(window.closed).isFalse();
    assertThat(window.document.isUnsaved()).isTrue();
    assertThat(window.asked).contains(new Request.Tell("the disk is full"));
  }

  @Test
  void undoingTheChangeTakesTheQuestionAboutItAway() {
    window.edit("one");
    window.wants(new Intent.Close());
    assertThat(window.document.question()).isPresent();
    window.edit("Untitled");
    assertThat(window.document.question()).isEmpty();
  }

  @Test
  void anotherProgramsVersionIsNotAskedAboutAgainOnceItWasPutOff() {
    disk.write(A, song("A"));
    open(A);
    disk.write(A, song("theirs"));
    window.tick();
    window.disk.settle();
    window.answer(Question.Answer.LEAVE);
    window.tick();
    window.disk.settle();
    assertThat(window.document.question()).isEmpty();
    disk.write(A, song("theirs again"));
    window.tick();
    window.disk.settle();
    assertThat(window.document.question()).isPresent();
    window.answer(Question.Answer.THEIRS);
    window.disk.settle();
    assertThat(window.title()).isEqualTo("theirs again");
  }
}

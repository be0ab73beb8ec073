package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.model.Workspace;

/** What is asked of the disk, also when the window has closed already. */
class DiskTasksTest {

  @Test
  void whatIsAskedAfterTheWindowHasClosedIsNoFault() throws Exception {
    ExecutorService disk = Executors.newSingleThreadExecutor();
    PlanService planner = new PlanService(Runnable::run, Runnable::run, Runnable::run);
    Workspace workspace = new Workspace(planner);
    DiskTasks tasks = new DiskTasks(workspace, disk, Runnable::run);
    AtomicInteger done = new AtomicInteger();
    tasks.run("It did not work", done::incrementAndGet);
    disk.shutdown();
    assertThat(disk.awaitTermination(5, TimeUnit.SECONDS)).isTrue();
    assertThat(done).hasValue(1);
    assertThatCode(() -> tasks.run("It did not work", done::incrementAndGet))
        .doesNotThrowAnyException();
    assertThat(done).hasValue(1);
    assertThat(workspace.problems()).isEmpty();
  }
}

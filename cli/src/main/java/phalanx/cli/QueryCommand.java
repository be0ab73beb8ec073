package phalanx.cli;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.RegularFile;
import phalanx.formats.json.AnswerJson;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** A command that answers one query, or one a line of a file. */
abstract class QueryCommand implements Callable<Integer> {

  /** Stands for a line that is no text: U+FFFD, which nobody asks for. */
  private static final String NOT_TEXT = "\uFFFD";

  @Spec private CommandSpec spec;

  @Parameters(arity = "0..1", paramLabel = "QUERY", description = "what to answer")
  private String query;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Option(
      names = "--batch",
      paramLabel = "FILE",
      description = "one query a line (- reads them from the input); one JSON object a line out")
  private Path batch;

  /** The answer as one JSON object in one line. */
  abstract String json(String asked) throws UnusableInput;

  /** The answer for people. */
  abstract String text(String asked) throws UnusableInput;

  @Override
  public final Integer call() throws UnusableInput {
    if ((query == null) == (batch == null)) {
      throw new ParameterException(spec.commandLine(), "expected a query, or --batch FILE");
    }
    if (batch == null) {
      print(json ? json(query) : text(query));
      return 0;
    }
    for (String line : lines()) {
      if (!line.isBlank()) {
        print(answer(line.strip()));
      }
    }
    return 0;
  }

  private List<String> lines() throws UnusableInput {
    try {
      List<String> lines = new ArrayList<>();
      if (!batch.toString().equals("-")) {
        RegularFile.check(batch);
      }
      // By line, so that one that is not text does not cost the others.
      String bytes =
          new String(
              batch.toString().equals("-") ? System.in.readAllBytes() : Files.readAllBytes(batch),
              StandardCharsets.ISO_8859_1);
      for (String line : bytes.split("\\r\\n|[\\r\\n]")) {
        lines.add(text(line.getBytes(StandardCharsets.ISO_8859_1)));
      }
      return lines;
    } catch (IOException e) {
      throw new UnusableInput(batch + ":1:1: " + DiskTrouble.reading(e));
    }
  }

  private static String text(byte[] line) {
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(line)).toString();
    } catch (CharacterCodingException e) {
      return NOT_TEXT;
    }
  }

  private String answer(String line) {
    if (line.equals(NOT_TEXT)) {
      return AnswerJson.error("expected text in UTF-8");
    }
    try {
      return json(line);
    } catch (UnusableInput e) {
      return AnswerJson.error(e.getMessage());
    }
  }

  /** The first answers of many: so many as asked for, all for 0. */
  final <T> List<T> first(List<T> all, int limit) {
    if (limit < 0) {
      throw usage("--limit: expected 0 for all, or how many");
    }
    return limit == 0 ? all : all.subList(0, Math.min(limit, all.size()));
  }

  /** A wrong option of this command. */
  final ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }

  private void print(String answer) {
    spec.commandLine().getOut().println(answer);
  }
}

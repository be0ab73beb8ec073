package phalanx.desktop.frame;

import java.util.List;
import java.util.Optional;
import phalanx.desktop.document.OpenDocument;
import phalanx.desktop.document.Question;
import phalanx.desktop.document.Save;
import phalanx.desktop.files.Documents;
import phalanx.desktop.frame.NoticeBar.Answer;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** Puts to the player what the open document has to ask, and brings it the answer. */
final class DocumentQuestions {

  private final Workspace workspace;
  private final Documents documents;
  private final NoticeBar notices;
  private Optional<Question> shown = Optional.empty();

  DocumentQuestions(Workspace workspace, Documents documents, NoticeBar notices) {
    this.workspace = workspace;
    this.documents = documents;
    this.notices = notices;
    documents.documentProperty().addListener((o, before, now) -> follow(now));
  }

  private void follow(OpenDocument now) {
    if (!now.question().equals(shown)) {
      shown.ifPresent(q -> notices.forget(id(q)));
      shown = now.question();
      shown.ifPresent(this::ask);
    }
  }

  private static String id(Question question) {
    if (question instanceof Question.Unsaved) {
      return "unsaved";
    } else if (question instanceof Question.ReadOnly) {
      return "read-only";
    }
    return question instanceof Question.Changed ? "changed" : "taken";
  }

  private void ask(Question question) {
    if (question instanceof Question.Unsaved) {
      notices.ask(
          id(question),
          Texts.of("documentQuestions.hasChangesThatAre", workspace.song().title()),
          List.of(
              answer(
                  question,
                  "unsaved-save",
                  Texts.of("documentQuestions.save"),
                  Question.Answer.SAVE),
              answer(
                  question,
                  "unsaved-drop",
                  Texts.of("documentQuestions.donTSave"),
                  Question.Answer.DROP),
              answer(
                  question,
                  "unsaved-keep",
                  Texts.of("documentQuestions.goOnEditing"),
                  Question.Answer.LEAVE)));
    } else if (question instanceof Question.ReadOnly readOnly) {
      notices.ask(
          id(question),
          Texts.of("documentQuestions.isMarkedAsA", name(readOnly.save())),
          List.of(
              answer(
                  question,
                  "read-only-as",
                  Texts.of("documentQuestions.saveUnderAnotherName"),
                  Question.Answer.OTHER_NAME),
              answer(
                  question,
                  "read-only-over",
                  Texts.of("documentQuestions.saveOverIt"),
                  Question.Answer.OVER),
              answer(
                  question,
                  "read-only-not",
                  Texts.of("documentQuestions.donTSave"),
                  Question.Answer.LEAVE)));
    } else if (question instanceof Question.Changed changed) {
      notices.ask(
          id(question),
          Texts.of("documentQuestions.wasChangedByAnother", name(changed.save())),
          List.of(
              answer(
                  question,
                  "changed-as",
                  Texts.of("documentQuestions.saveMineUnderAnother"),
                  Question.Answer.OTHER_NAME),
              answer(
                  question,
                  "changed-mine",
                  Texts.of("documentQuestions.saveMineOverIt"),
                  Question.Answer.OVER),
              answer(
                  question,
                  "changed-theirs",
                  Texts.of("documentQuestions.takeTheirs"),
                  Question.Answer.THEIRS),
              answer(
                  question,
                  "changed-later",
                  Texts.of("documentQuestions.later"),
                  Question.Answer.LEAVE)),
          changed.asked());
    } else if (question instanceof Question.Taken taken) {
      notices.ask(
          id(question),
          Texts.of("documentQuestions.thereIsAFile", name(taken.save())),
          List.of(
              answer(
                  question,
                  "taken-as",
                  Texts.of("documentQuestions.chooseAnotherName"),
                  Question.Answer.OTHER_NAME),
              answer(
                  question,
                  "taken-over",
                  Texts.of("documentQuestions.replaceIt"),
                  Question.Answer.OVER),
              answer(
                  question,
                  "taken-not",
                  Texts.of("documentQuestions.donTSave"),
                  Question.Answer.LEAVE)));
    }
  }

  private Answer answer(Question question, String id, String words, Question.Answer answer) {
    return new Answer(id, words, () -> documents.answer(question.number(), answer));
  }

  private static String name(Save save) {
    return save.file().getFileName().toString();
  }
}

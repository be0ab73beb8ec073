package phalanx.desktop.frame;

import static phalanx.desktop.document.Question.Answer.DROP;
import static phalanx.desktop.document.Question.Answer.LEAVE;
import static phalanx.desktop.document.Question.Answer.OTHER_NAME;
import static phalanx.desktop.document.Question.Answer.OVER;
import static phalanx.desktop.document.Question.Answer.SAVE;
import static phalanx.desktop.document.Question.Answer.THEIRS;

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
    if (question instanceof Question.Changed changed) {
      notices.ask(id(question), words(question), answers(question), changed.asked());
    } else {
      notices.ask(id(question), words(question), answers(question));
    }
  }

  private String words(Question question) {
    if (question instanceof Question.ReadOnly readOnly) {
      return Texts.of("documentQuestions.isMarkedAsA", name(readOnly.save()));
    } else if (question instanceof Question.Changed changed) {
      return Texts.of("documentQuestions.wasChangedByAnother", name(changed.save()));
    } else if (question instanceof Question.Taken taken) {
      return Texts.of("documentQuestions.thereIsAFile", name(taken.save()));
    }
    return Texts.of("documentQuestions.hasChangesThatAre", workspace.song().title());
  }

  private List<Answer> answers(Question of) {
    if (of instanceof Question.ReadOnly) {
      return List.of(
          answer(of, "as", Texts.of("documentQuestions.saveUnderAnotherName"), OTHER_NAME),
          answer(of, "over", Texts.of("documentQuestions.saveOverIt"), OVER),
          answer(of, "not", Texts.of("documentQuestions.donTSave"), LEAVE));
    } else if (of instanceof Question.Changed) {
      return List.of(
          answer(of, "as", Texts.of("documentQuestions.saveMineUnderAnother"), OTHER_NAME),
          answer(of, "mine", Texts.of("documentQuestions.saveMineOverIt"), OVER),
          answer(of, "theirs", Texts.of("documentQuestions.takeTheirs"), THEIRS),
          answer(of, "later", Texts.of("documentQuestions.later"), LEAVE));
    } else if (of instanceof Question.Taken) {
      return List.of(
          answer(of, "as", Texts.of("documentQuestions.chooseAnotherName"), OTHER_NAME),
          answer(of, "over", Texts.of("documentQuestions.replaceIt"), OVER),
          answer(of, "not", Texts.of("documentQuestions.donTSave"), LEAVE));
    }
    return List.of(
        answer(of, "save", Texts.of("documentQuestions.save"), SAVE),
        answer(of, "drop", Texts.of("documentQuestions.donTSave"), DROP),
        answer(of, "keep", Texts.of("documentQuestions.goOnEditing"), LEAVE));
  }

  private Answer answer(Question question, String id, String words, Question.Answer answer) {
    Runnable then = () -> documents.answer(question.number(), answer);
    return new Answer(id(question) + "-" + id, words, then);
  }

  private static String name(Save save) {
    return save.file().getFileName().toString();
  }
}

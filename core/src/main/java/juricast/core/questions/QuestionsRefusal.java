package juricast.core.questions;

import juricast.core.live.Refusal;

/** What stands in the way of asking and answering. */
public enum QuestionsRefusal implements Refusal.Code {
    QUESTION_TOO_LONG,
    TOO_FEW_OR_MANY_CHOICES,
    CHOICES_ALIKE,
    /** What is said to be right could not be answered. */
    RIGHT_IS_NO_ANSWER,
    /** Another question is open. */
    STILL_OPEN,
    NO_SUCH_QUESTION,
    CLOSED,
    /** Once given, it stays. */
    ANSWERED_ALREADY,
    NO_ANSWER_TO_THIS,
    /** It was asked of others. */
    NOT_ASKED,
    /** Fewer have answered than may be shown to the class. */
    TOO_FEW_TO_SHOW,
    NO_SUCH_GROUP
}

package juricast.server.data;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** The program may not or cannot run on this file: said in words when it starts, with what to do. */
public final class CannotStart extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final String whatToDo;

    public CannotStart(String why, String whatToDo) {
        super(why);
        this.whatToDo = whatToDo;
    }

    /** Prints it without the trace of the program. */
    static final class Said extends AbstractFailureAnalyzer<CannotStart> {
        @Override
        protected @Nullable FailureAnalysis analyze(Throwable failed, CannotStart why) {
            return new FailureAnalysis(why.getMessage(), why.whatToDo, why);
        }
    }
}

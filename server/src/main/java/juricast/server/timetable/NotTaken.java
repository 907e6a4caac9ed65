package juricast.server.timetable;

import juricast.core.exchange.TimetableReading;

/** What cannot be taken of one event. */
final class NotTaken extends Exception {
    private static final long serialVersionUID = 1;
    private final transient TimetableReading.Fault told;

    NotTaken(TimetableReading.Problem problem, String quote) {
        super(quote, null, false, false);
        told = new TimetableReading.Fault(0, problem, quote);
    }

    TimetableReading.Fault at(int line) {
        return new TimetableReading.Fault(line, told.problem(), told.quote());
    }
}

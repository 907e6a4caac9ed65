package juricast.bench;

import java.nio.file.Path;

/** Measures what the docs promise, against the packaged application. Arguments: the jar, and one part if not all; what takes long runs only when named. */
public final class Bench {
    private Bench() {}

    public static void main(String[] arguments) throws Exception {
        Path jar = Path.of(arguments[0]);
        String only = arguments.length > 1 ? arguments[1] : "";
        if (only.isEmpty() || only.equals("rules")) {
            System.out.println("Questions to the rules, on one core:");
            RulesBenchmark.measure();
        }
        if (only.isEmpty() || only.equals("inspection")) {
            System.out.println("The inspection of a school year:");
            Inspecting.measure();
        }
        if (only.isEmpty() || only.equals("attendance")) {
            System.out.println("The attendance of a school year:");
            AttendanceOfAYear.measure();
        }
        if (only.isEmpty() || only.equals("week")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("The week of a large school, from request to data:");
                WeekView.measure(demo);
            }
        }
        if (only.isEmpty() || only.equals("register")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("A term of a class, and a log of another service, from request to data:");
                TermAndLog.measure(demo);
            }
        }
        if (only.isEmpty() || only.equals("recordings")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("A school's recordings, from request to data:");
                ListOfRecordings.measure(demo);
            }
        }
        if (only.isEmpty() || only.equals("casebook")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("A casebook of 20,000 incidents, from request to data, and an evidence pack:");
                Casebook20000.measure(demo);
            }
        }
        if (only.isEmpty() || only.equals("draft")) {
            System.out.println("From a change of a draft's first day to its consequences on the screen:");
            DraftOnScreen.measure(jar);
        }
        if (only.isEmpty() || only.equals("start")) {
            System.out.println("Start to ready, packaged application:");
            StartUp.measure(jar);
        }
        if (only.isEmpty() || only.equals("screens")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("Weight of each screen at the first visit:");
                PageWeight.measure(demo.address());
                AtRest.measure(demo.address());
            }
        }
        if (only.isEmpty() || only.equals("orders")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("From an order on the desk to its effect at 30 seats:");
                OrderToSeat.measure(demo.address());
            }
        }
        if (only.isEmpty() || only.equals("bell")) {
            bell(jar);
        }
        if (only.equals("groups")) {
            System.out.println("Groups of a class of forty, mixed anew each week:");
            Groups.make();
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("A hundred lessons of thirty pupils in eight groups:");
                Groups.measure(demo);
            }
        }
        if (only.equals("activities")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("3,000 pupils answer a question within five seconds:");
                Answering.measure(demo);
            }
        }
        if (only.equals("activities") || only.equals("board")) {
            System.out.println("A page of 5,000 marks, in the browser:");
            FullBoard.measure(jar);
        }
        if (only.equals("forgetting")) {
            System.out.println("The words of a school year forgotten, and orders meanwhile:");
            Forgetting.measure();
        }
        if (only.equals("soak")) {
            try (RunningJar demo = RunningJar.start(jar)) {
                System.out.println("Ten minutes of 3,000 streams:");
                Soak.measure(demo);
            }
        }
        if (only.equals("year")) {
            System.out.println("Lessons of a year, and what stays of them in memory:");
            Year.measure(jar);
        }
        if (only.equals("kills")) {
            System.out.println("Killed under the load of the bell:");
            Kills.measure(jar);
        }
        System.exit(0); // open streams would keep the process for a while
    }

    private static void bell(Path jar) throws Exception {
        try (RunningJar demo = RunningJar.start(jar)) {
            System.out.println("The bell, 100 lessons of 30 pupils within 30 s, and orders after it:");
            Bell.measure(demo);
        } catch (Exception failed) {
            // Said here: threads of the load would keep the process, and nobody would hear why.
            System.out.println("  the measurement failed: " + failed);
            System.exit(1);
        }
    }
}

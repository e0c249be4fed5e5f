package stillpond.bench;

import java.time.Duration;
import java.util.regex.Pattern;

/** How much of the processors all processes have taken, since it was asked for, in whose command or command line something is found. */
record ProcessorTime(Pattern found, Duration then) {

    static ProcessorTime of(String regex) {
        Pattern found = Pattern.compile(regex);
        return new ProcessorTime(found, taken(found));
    }

    double sinceMs() {
        return taken(found).minus(then).toNanos() / 1e6;
    }

    private static Duration taken(Pattern found) {
        return ProcessHandle.allProcesses()
                .map(ProcessHandle::info)
                .filter(process -> found.matcher(process.command().orElse("")
                                + process.commandLine().orElse(""))
                        .find())
                .flatMap(process -> process.totalCpuDuration().stream())
                .reduce(Duration.ZERO, Duration::plus);
    }
}

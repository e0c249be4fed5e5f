package stillpond.bench;

import java.time.Duration;

/** How much of the processors all processes with a word in their command or command line have taken since it was asked for. */
record ProcessorTime(String word, Duration then) {

    static ProcessorTime of(String word) {
        return new ProcessorTime(word, taken(word));
    }

    double sinceMs() {
        return taken(word).minus(then).toNanos() / 1e6;
    }

    private static Duration taken(String word) {
        return ProcessHandle.allProcesses()
                .map(ProcessHandle::info)
                .filter(process ->
                        (process.command().orElse("") + process.commandLine().orElse("")).contains(word))
                .flatMap(process -> process.totalCpuDuration().stream())
                .reduce(Duration.ZERO, Duration::plus);
    }
}

package stillpond.bench.flats;

/** Which half of a set of drawings one belongs to, by its name: so that what is reported was never fitted to. */
public enum Half {
    FITTING,
    REPORTING;

    public static Half of(String name) {
        return ClipartCases.firstByteOfMd5(name) % 2 == 0 ? FITTING : REPORTING;
    }
}

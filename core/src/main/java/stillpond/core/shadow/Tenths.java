package stillpond.core.shadow;

import stillpond.core.refusal.Refusal;

/** Lengths and places to a tenth of a pixel, so that what is sent and what is stored is the same. */
final class Tenths {

    private static final int LONGEST = 16;

    private Tenths() {}

    static double of(double value) {
        return count(value) / 10.0;
    }

    /** Halves up, below zero too: what rounding does with those differs between platforms. */
    private static long count(double value) {
        return (long) Math.floor(value * 10 + 0.5);
    }

    static String text(double value) {
        long tenths = count(value);
        long rest = Math.abs(tenths % 10);
        String whole = (tenths < 0 ? "-" : "") + Math.abs(tenths / 10);
        return rest == 0 ? whole : whole + "." + rest;
    }

    /** @throws Refusal if it is no number */
    static double ofText(String text) {
        boolean isPlain = !text.isEmpty()
                && text.length() <= LONGEST
                && text.chars().allMatch(each -> each >= '0' && each <= '9' || each == '-' || each == '.');
        try {
            if (isPlain) {
                return Double.parseDouble(text);
            }
        } catch (NumberFormatException e) {
            throw new Refusal("'" + text + "' is no number.");
        }
        throw new Refusal("'" + (text.length() > LONGEST ? text.substring(0, LONGEST) : text) + "' is no number.");
    }
}

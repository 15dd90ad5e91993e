package dusk.ledger.instruments;

/** The checksum of NMEA 0183, which the board's lines have too: all characters before it, taken together by exclusive or. */
final class Checksum {
    private Checksum() {}

    /** Two hexadecimal digits. */
    static String of(String text) {
        int sum = 0;
        for (int i = 0; i < text.length(); i++) {
            sum ^= text.charAt(i);
        }
        return String.format("%02X", sum & 0xFF);
    }

    /** Whether every character is one that such a line may have: printable ASCII. */
    static boolean printable(String text) {
        return text.chars().allMatch(c -> c >= ' ' && c <= '~');
    }
}

package dusk.ledger.web.club;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import dusk.ledger.web.portrait.Svg;
import java.util.Map;

/** An address as a picture that a phone's camera reads (ISO/IEC 18004). */
final class QrCode {
    /** The quiet edge that readers ask for, in modules. */
    private static final int EDGE = 4;

    private QrCode() {}

    /** Black on white in both themes: a camera reads nothing else as surely. */
    static String svg(String address) {
        BitMatrix bits;
        try {
            bits = new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, EDGE));
        } catch (WriterException e) {
            throw new IllegalArgumentException("no picture holds an address of " + address.length() + " letters", e);
        }
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < bits.getHeight(); y++) {
            for (int x = 0; x < bits.getWidth(); x++) {
                if (bits.get(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return new Svg()
                .add(
                        "<svg class=\"qr\" viewBox=\"0 0 %d %d\" role=\"img\" aria-label=\"The link, for a phone’s camera\">",
                        bits.getWidth(), bits.getHeight())
                .add(
                        "<path class=\"qr-ground\" d=\"M0 0h%dv%dh-%dz\"/>",
                        bits.getWidth(), bits.getHeight(), bits.getWidth())
                .add("<path class=\"qr-ink\" d=\"%s\"/></svg>", path)
                .toString();
    }
}

package dusk.ledger.web.out;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import org.apache.batik.transcoder.SVGAbstractTranscoder;
import org.apache.batik.transcoder.TranscoderException;
import org.apache.batik.transcoder.TranscoderInput;
import org.apache.batik.transcoder.TranscoderOutput;
import org.apache.batik.transcoder.image.PNGTranscoder;

/** A drawing as points. */
final class Raster {
    /** For screens and print alike. */
    private static final float TWICE = 2;

    private Raster() {}

    /**
     * @param svg that stands on its own
     * @return a PNG, twice as wide as the drawing says
     * @throws NoFonts where this machine has nothing to draw letters with
     */
    static byte[] png(String svg, double wide) throws NoFonts {
        PNGTranscoder transcoder = new PNGTranscoder();
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_WIDTH, (float) wide * TWICE);
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_ALLOW_EXTERNAL_RESOURCES, false);
        transcoder.addTranscodingHint(SVGAbstractTranscoder.KEY_EXECUTE_ONLOAD, false);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        try {
            transcoder.transcode(new TranscoderInput(new StringReader(svg)), new TranscoderOutput(png));
            return png.toByteArray();
        } catch (TranscoderException e) {
            throw new IllegalStateException("a drawing of ours is none", e);
        } catch (LinkageError | NullPointerException e) {
            // as the JDK fails where no font is installed
            throw new NoFonts(e);
        }
    }

    /** Whoever runs the server has to install one. */
    static final class NoFonts extends IOException {
        private static final long serialVersionUID = 1L;

        NoFonts(Throwable cause) {
            super("This machine has no fonts to draw a PNG with. Take the SVG.", cause);
        }
    }
}

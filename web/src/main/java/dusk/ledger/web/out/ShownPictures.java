package dusk.ledger.web.out;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jsoup.nodes.Document;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The drawings of a page as SVG or PNG; more than one in a zip, each by what it shows. */
@Component
class ShownPictures extends OfAPage {
    private static final String SVG = "svg";

    private @Nullable Stylesheet style;

    ShownPictures() {
        super(Set.of(SVG, "png"));
    }

    /** Read once, when the first is asked for. */
    private synchronized Stylesheet style() throws IOException {
        Stylesheet read = style;
        if (read == null) {
            try (InputStream in = new ClassPathResource("static/app.css").getInputStream()) {
                read = new Stylesheet(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            }
            style = read;
        }
        return read;
    }

    @Override
    @Nullable
    Taken take(Document page, String form) throws IOException {
        List<Pictures.Picture> pictures = new Pictures(style(), page).all();
        if (pictures.isEmpty()) {
            return null;
        }
        if (pictures.size() == 1) {
            return new Taken(form.equals(SVG) ? "image/svg+xml" : "image/png", form, bytes(pictures.get(0), form));
        }
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(zip)) {
            for (Pictures.Picture picture : pictures) {
                out.putNextEntry(new ZipEntry(picture.name() + "." + form));
                out.write(bytes(picture, form));
                out.closeEntry();
            }
        }
        return new Taken("application/zip", "zip", zip.toByteArray());
    }

    private static byte[] bytes(Pictures.Picture picture, String form) throws IOException {
        return form.equals(SVG)
                ? picture.svg().getBytes(StandardCharsets.UTF_8)
                : Raster.png(picture.svg(), picture.wide());
    }
}

package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A fish that begins with its photograph. */
class PhotographTest extends RequestedClub {
    /** The smallest picture that says when, and in what zone, it was taken. */
    private static byte[] taken(String when) throws IOException {
        ByteArrayOutputStream exif = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(exif);
        out.writeBytes("MM\0*");
        out.writeInt(8);
        // one entry: where the part with the time stands
        out.writeShort(1);
        entry(out, 0x8769, 4, 1, 26);
        out.writeInt(0);
        out.writeShort(1);
        entry(out, 0x9003, 2, 20, 44);
        out.writeInt(0);
        out.write((when + "\0").getBytes(StandardCharsets.US_ASCII));
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        DataOutputStream picture = new DataOutputStream(jpeg);
        picture.writeShort(0xffd8);
        picture.writeShort(0xffe1);
        picture.writeShort(2 + 6 + exif.size());
        picture.writeBytes("Exif\0\0");
        picture.write(exif.toByteArray());
        picture.writeShort(0xffd9);
        return jpeg.toByteArray();
    }

    private static void entry(DataOutputStream out, int tag, int type, int count, int value) throws IOException {
        out.writeShort(tag);
        out.writeShort(type);
        out.writeInt(count);
        out.writeInt(value);
    }

    private String read(byte[] photo) throws Exception {
        MockHttpServletResponse answer = answer(
                club.member,
                MockMvcRequestBuilders.multipart("/trips/photo")
                        .file(new MockMultipartFile("photo", "fish.jpg", "image/jpeg", photo)));
        return answer.getContentAsString();
    }

    /** The member's stint on the lake, an hour west of Greenwich, began at 14:00 there and took 40 minutes. */
    @Test
    void whenItWasTakenSaysWhichStintAndTheFormBeginsWithTheTime() throws Exception {
        String page = read(taken("2026:10:03 14:20:00"));
        assertThat(page)
                .contains("Taken 3 Oct 2026, 14:20")
                .contains("it does not say where")
                .contains("which ran then");
        String address =
                ServerProcess.first("href=\"(/trips/p/fish/new[^\"]+)\"", page).replace("&amp;", "&");
        assertThat(address).isEqualTo("/trips/p/fish/new?stint=s&at=2026-10-03T14:20");
        assertThat(get(club.member, address).getContentAsString()).contains("value=\"2026-10-03T14:20\"");
        assertThat(post(club.member, "/trips/p/fish?stint=s", "species=pike&count=1&at=2026-10-03T14:20")
                        .getStatus())
                .isEqualTo(302);
        assertThat(club.all(LedgerFormat.CATCHES)).extracting(Catch::species).contains("pike");
    }

    @Test
    void whatDoesNotSayWhenOrIsNoPictureIsToldSo() throws Exception {
        assertThat(read(taken("when we were young  "))).contains("does not say when it was taken");
        assertThat(read("no picture".getBytes(StandardCharsets.US_ASCII)))
                .contains("not a photograph that can be read");
        assertThat(read(taken("2019:01:01 10:00:00"))).contains("No trip of yours was under way then.");
        assertThat(club.all(LedgerFormat.CATCHES)).hasSize(1);
    }
}

package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Store;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** What takes longer than a moment shows how far it is, and can be stopped. */
class LongWorkTest extends RequestedClub {
    private static String text(MockHttpServletResponse answer) throws Exception {
        return answer.getContentAsString(StandardCharsets.UTF_8);
    }

    /** Looks until the page says something, at most for half a minute. */
    private String lookFor(String path, String words) throws Exception {
        String page = "";
        for (int i = 0; i < 300 && !page.contains(words); i++) {
            page = text(get(club.officer, path));
            Thread.sleep(page.contains(words) ? 0 : 100);
        }
        return page;
    }

    @Test
    void anImportThatWaitsShowsItselfAndStoresNothingOnceItIsStopped() throws Exception {
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        PackageWriter.writeZip(DemoClub.ledger(DemoClub.SEED), "made up", zip);
        CountDownLatch held = new CountDownLatch(1);
        CountDownLatch release = new CountDownLatch(1);
        Thread writing = new Thread(() -> beans.getBean(Store.class).writeApart(tx -> {
            held.countDown();
            try {
                release.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return "";
        }));
        writing.start();
        held.await();
        try {
            String draft = String.valueOf(answer(
                            club.officer,
                            MockMvcRequestBuilders.multipart("/club/bring")
                                    .file(new MockMultipartFile(
                                            "file", "mine.zip", "application/zip", zip.toByteArray())))
                    .getHeader("Location"));
            assertThat(text(get(club.officer, draft))).contains("mine.zip").contains("230 trips");
            assertThat(post(club.officer, draft + "/take", "").getHeader("Location"))
                    .isEqualTo("/club/bring");
            assertThat(text(get(club.officer, "/club/bring")))
                    .contains("Reading mine.zip.")
                    .contains("Stop it; nothing of it is stored then");
            assertThat(post(club.officer, "/club/bring/stop", "").getHeader("Location"))
                    .isEqualTo("/club/bring");
        } finally {
            release.countDown();
            writing.join();
        }
        assertThat(lookFor("/club/bring", "Stopped")).contains("Stopped: nothing of it was stored.");
        assertThat(club.all(LedgerFormat.TRIPS)).hasSize(2);
        assertThat(text(get(club.officer, "/club/bring")))
                .contains("Nothing yet.")
                .contains("Read, not brought in");
    }

    @Test
    void patternsStandAsTheyWereFoundAndSayWhatIsNewer() throws Exception {
        club.get(Clubs.class).load(club.officer.clubId(), DemoClub.ledger(DemoClub.SEED));
        String found = lookFor("/findings/patterns", "Works for you");
        assertThat(found).contains("Works for you").doesNotContain("newer than this");
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id("newer")
                        .tripId("p")
                        .anglerId(club.member.anglerId())
                        .setUpId("jig")
                        .startedAt(TestClub.START)
                        .minutes(30)
                        .build()));
        assertThat(text(get(club.officer, "/findings/patterns")))
                .contains("Works for you")
                .contains("1 stint is newer than this.")
                .contains("Search anew now");
        assertThat(post(club.officer, "/findings/patterns/anew", "season=&water=&species=&least=")
                        .getHeader("Location"))
                .isEqualTo("/findings/patterns?species=&least=&water=&season=&mine=&sort=surest");
        assertThat(text(get(club.officer, "/findings/patterns"))).contains("Works for you");
    }

    @Test
    void aContrastComesBehindTheRates() throws Exception {
        club.get(Clubs.class).load(club.officer.clubId(), DemoClub.ledger(DemoClub.SEED));
        String page = text(get(club.officer, "/findings/compare?factor=colour&where=light%3Ddusk"));
        assertThat(page).contains("Compare like for like").doesNotContain("contrast-title");
        String address = page.replaceAll("(?s).*hx-get=\"(/findings/compare[^\"]*)\".*", "$1")
                .replace("&amp;", "&");
        assertThat(address).contains("where=light%3Ddusk").contains("level=");
        MockHttpServletResponse part =
                answer(club.officer, request("GET", address).header("HX-Request", "true"));
        assertThat(text(part).strip())
                .startsWith("<section")
                .contains("contrast-title")
                .doesNotContain("<html");
        assertThat(text(get(club.officer, address))).contains("<html").contains("contrast-title");
    }
}

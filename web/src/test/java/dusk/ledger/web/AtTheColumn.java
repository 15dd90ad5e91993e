package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Lure;
import dusk.ledger.water.Tied;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jooq.impl.DSL;

/** What the tests of the water column share: a browser, and set-ups that fall. */
abstract class AtTheColumn extends BrowserDriven {
    static void await(Page page, BooleanSupplier there) {
        for (int i = 0; i < 100 && !there.getAsBoolean(); i++) {
            page.waitForTimeout(100);
        }
        assertThat(there.getAsBoolean()).isTrue();
    }

    List<SetUp> setUps() {
        return rows.all(demoPerson("harl").viewer(), LedgerFormat.SETUPS, DSL.noCondition(), List.of());
    }

    static SetUp falls(List<SetUp> setUps, String rig) {
        return setUps.stream()
                .filter(s -> s.rig().equals(rig) && Tied.of(s) instanceof Tied.Known)
                .findFirst()
                .orElseThrow();
    }

    /** Seconds in which a set-up falls whose drag is so many times what is reckoned. */
    static double seconds(SetUp setUp, double depthM, double factor) {
        Tied.Known tied = (Tied.Known) Tied.of(setUp);
        return new Cast(depthM, 0, 0, tied.line(), Cast.FRESH, 0, 0)
                .freeFallSeconds(Lure.of(tied.parts(), Cast.FRESH).calibrated(factor), depthM);
    }

    static final Pattern COUNT = Pattern.compile("(\\d+(?:\\.\\d)?) s \\((\\d+(?:\\.\\d)?) to (\\d+(?:\\.\\d)?)\\)");

    static double count(String words) {
        Matcher count = COUNT.matcher(words);
        assertThat(count.find()).as(words).isTrue();
        assertThat(Double.parseDouble(count.group(2))).isLessThan(Double.parseDouble(count.group(3)));
        return Double.parseDouble(count.group(1));
    }

    static String verdict(Page page) {
        return page.textContent("#verdict");
    }
}

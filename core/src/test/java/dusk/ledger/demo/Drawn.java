package dusk.ledger.demo;

import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.vocabulary.Bands;
import dusk.ledger.vocabulary.Factor;
import java.util.EnumMap;
import java.util.Map;

/** The levels of a drawn stint, as the truths are planted in them. */
final class Drawn {
    private Drawn() {}

    static Map<Factor, String> levels(SetUp setUp, String presentation, String bottom, Reading reading) {
        Map<Factor, String> levels = new EnumMap<>(Factor.class);
        levels.put(Factor.RIG, setUp.rig());
        levels.put(Factor.PLASTIC, String.valueOf(setUp.plastic()));
        levels.put(Factor.COLOUR, String.valueOf(setUp.colour()));
        if (setUp.headMass() != null) {
            levels.put(Factor.HEAD_MASS, Bands.headMass(setUp.headMass()));
        }
        levels.put(Factor.PRESENTATION, presentation);
        levels.put(Factor.BOTTOM, bottom);
        levels.put(Factor.SKY, String.valueOf(reading.sky()));
        levels.put(Factor.WEATHER, String.valueOf(reading.weather()));
        if (reading.waterTemp() != null) {
            levels.put(Factor.WATER_TEMP, Bands.waterTemp(reading.waterTemp()));
        }
        if (reading.clarity() != null) {
            levels.put(Factor.CLARITY, Bands.clarity(reading.clarity()));
        }
        return levels;
    }
}

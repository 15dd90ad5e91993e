package dusk.ledger.web.deck;

import dusk.ledger.web.form.FormField;
import dusk.ledger.web.instruments.Aboard;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A deck as its page lays it out: everything in words and in the reader's units.
 *
 * @param first id of the rod that stands first on a phone; {@code boat} for what is done to all
 */
record DeckView(
        String page,
        String trip,
        String person,
        String water,
        String zone,
        String since,
        String until,
        boolean live,
        String totals,
        List<Card> cards,
        List<Chip> chips,
        @Nullable Ask ask,
        List<String> signs,
        List<FormField.Option> places,
        List<String> structures,
        List<String> dangers,
        Boat boat,
        @Nullable Undo undo,
        boolean roomForRods,
        Casts casts,
        int lot,
        List<Trial> trials,
        String trial,
        String first,
        String fault) {

    /**
     * What the boat's own instruments say of it.
     *
     * @param words how it lies; empty where no feed says so
     * @param here whether its position is known, which a new place gets
     * @param depth under it, as typed; empty where it is not known
     * @param instruments that are listened to
     */
    record Boat(String words, boolean here, String depth, List<Aboard.Listened> instruments) {}

    /** The act to undo, and what it was. */
    record Undo(String act, String what) {}

    /**
     * A rod.
     *
     * @param next the place that “next place” would lead to, with {@code {hour}} for its hour
     * @param words its set-up and how it is fished
     * @param depth where it is fished, as typed; empty where it is not known
     * @param since when the running stint began, as an ISO instant; empty while down
     * @param fishToday of its angler
     * @param day what this angler has had today
     * @param lead what stands above the touches: {@code bitten}, {@code fish}, {@code forgotten}, {@code offer}, {@code
     *     stay} or nothing
     * @param blank of a fish that is landed while there is no signal
     * @param acts the last ones on it, the newest first
     * @param anyUp whether any line of the deck is in the water
     */
    record Card(
            String id,
            int number,
            String angler,
            String place,
            String next,
            List<Part> words,
            String from,
            String portrait,
            Count count,
            String depth,
            boolean running,
            String since,
            long minutes,
            Counts counts,
            int fishToday,
            String day,
            String lead,
            @Nullable Stay stay,
            @Nullable Forgotten forgotten,
            @Nullable Fish fish,
            Fish blank,
            Tackle tackle,
            How sheet,
            List<Act> acts,
            Choices choices,
            List<String> cautions,
            @Nullable Offer offer,
            boolean anyUp,
            String fault) {}

    /**
     * A part of what a rod's line says; a device without a signal puts another in its place.
     *
     * @param text with the comma before it, but for the first
     */
    record Part(String name, String text) {}

    /** What was done, and the hour. */
    record Act(String id, String what, String at) {}

    /** What the lot or a trial would have tied on. @param lot whether it may be declined: a turn of a trial waits */
    record Offer(String words, String portrait, boolean lot) {}

    /** A trial that may be taken up. */
    record Trial(String id, String words) {}

    /**
     * How it falls there.
     *
     * @param words empty where it cannot be told
     * @param bench where it is seen in the water
     */
    record Count(String words, String bench) {}

    /**
     * The fan of casts here.
     *
     * @param next of the button that marks the next one; empty where none is left, or no fan is laid
     */
    record Casts(String words, String next) {}

    /** Of the running stint. */
    record Counts(int follows, int bites, int lost, int landed) {}

    /** @param go whether elsewhere promises more by now */
    record Stay(String sentence, boolean go, List<String> reasons) {}

    /** @param lastSeen the hour of the last touch, as typed into the field */
    record Forgotten(long minutes, String lastSeen) {}

    /**
     * A fish that was landed.
     *
     * @param open whether it was just landed, so that the rest is asked for
     * @param board off which board its length stands there, and how long ago; empty for none
     */
    record Fish(
            String id,
            String species,
            String words,
            List<String> cautions,
            boolean open,
            Slider slider,
            List<FormField> fields,
            String board) {}

    /**
     * What a rod's stints to come may say of how it is fished.
     *
     * @param open whether something that was typed was refused
     * @param words what is said by one touch
     * @param fields what is typed
     */
    record How(boolean open, List<ByWord> words, List<FormField> fields) {}

    /**
     * Words of a column.
     *
     * @param now the one that holds; empty for none
     * @param told whether their meanings are told
     */
    record ByWord(String column, String label, List<Word> words, String now, boolean told) {}

    /** @param shows what the card says of it */
    record Word(String value, String shows) {}

    /**
     * What of a set-up may be changed on the water.
     *
     * @param open whether something that was typed was refused
     */
    record Tackle(boolean open, List<FormField> fields) {}

    /** Length by slider, in the person's unit. */
    record Slider(String from, String to, String step, String at, String unit) {}

    /** What the card's sheets offer. */
    record Choices(
            List<String> species,
            List<String> moreSpecies,
            String again,
            List<String> causes,
            List<String> biteOn,
            List<String> felt,
            Step lighter,
            Step heavier,
            List<Swatch> colours,
            List<Swatch> moreColours,
            List<FormField.Option> anglers) {}

    /**
     * A step of head weight; empty for none.
     *
     * @param head as the card would say it
     */
    record Step(String mass, String head) {
        public boolean there() {
            return !mass.isEmpty();
        }
    }

    /** @param ink of the colour */
    record Swatch(String colour, String svg) {}

    /**
     * A condition on the strip.
     *
     * @param age how old it is, and by which instrument it was taken
     * @param aside what an instrument says where a look by hand stands; empty for nothing
     * @param words to choose from; empty where it is typed
     * @param judged words to judge by where nothing measures it, beside what is typed
     */
    record Chip(
            String column,
            String name,
            String value,
            String age,
            String aside,
            boolean doubtful,
            List<String> words,
            List<String> judged,
            String hint,
            String typed,
            String fault) {}

    /** The one condition that is asked for. */
    record Ask(String column, String question, boolean confirm) {}
}

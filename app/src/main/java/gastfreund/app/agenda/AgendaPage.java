package gastfreund.app.agenda;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What can be had by time.
 *
 * @param filters what is asked for; the first is how many come
 * @param hidden what else the form of the filters says
 * @param views how it can be drawn
 * @param total how much there is in all the dates of the bars, in words
 * @param before the address of the bars before these; null: they are over
 * @param after the address of the bars after these
 * @param title the dates that are shown, in words
 * @param earlier the address of the dates before; null: they are over
 * @param later the address of the dates after; null: nobody can look so far
 * @param taken where what is taken is sent
 * @param party how many come, in words
 * @param lanes null: sessions are shown
 * @param weeks the sessions of a month; null: lanes are shown
 * @param none why nothing is shown; empty: something is
 * @param timetables whether there are sessions that a calendar can follow
 * @param print the address of the week as it is printed
 */
public record AgendaPage(
        List<Note> notes,
        List<Field> filters,
        List<Field> hidden,
        List<Tab> views,
        List<Bar> bars,
        String total,
        @Nullable String before,
        String after,
        String title,
        @Nullable String earlier,
        @Nullable String later,
        String taken,
        String party,
        @Nullable Lanes lanes,
        @Nullable List<List<Day>> weeks,
        String none,
        boolean timetables,
        String print) {

    /** A way to draw it. */
    public record Tab(String word, String words, String address, boolean chosen) {}

    /**
     * A date of the ribbon.
     *
     * @param x where it stands in the picture
     * @param height of its bar, 0 to 44; 0: nothing is open
     * @param week what is said of the week that begins with it; empty: none does
     */
    public record Bar(String key, String address, String words, int x, int height, String week, boolean chosen) {}

    /**
     * Offers as lanes, with time from left to right.
     *
     * @param hours how many columns there are
     * @param axis what is said of each column
     * @param heads the offers, from above
     * @param groups the openings by time; by hour for a day, by day for a week
     * @param more how many offers more there are than can be drawn
     */
    public record Lanes(boolean week, int hours, List<Mark> axis, List<Head> heads, List<Group> groups, int more) {}

    /** What is said of a column, counted from 1. */
    public record Mark(int column, String words) {}

    /** An offer at the left of its lane, counted from 1. */
    public record Head(int row, String address, String title, String facts) {}

    /**
     * Openings that begin in the same hour, or on the same day.
     *
     * @param column where it begins, counted from 1
     * @param address of what it is, where there is more of it; null: nowhere
     */
    public record Group(int column, String words, @Nullable String address, List<Part> parts) {}

    /**
     * One offer's openings in a group.
     *
     * @param loose whether they stand beside one another instead of at their times
     * @param more how many more there are than are shown
     */
    public record Part(int row, String title, boolean loose, List<Chip> chips, int more) {}

    /**
     * An opening.
     *
     * @param value what the form says of it
     * @param words all of it
     * @param time when it begins
     * @param price what it costs, or that it is agreed
     * @param bare the same for where there is little room
     * @param left how much is left, or when it ends; empty: nothing is said
     * @param column where it stands in its lane, in quarters of an hour, counted from 1
     * @param span how wide it is there
     */
    public record Chip(
            String value, String words, String time, String price, String bare, String left, int column, int span) {

        /** Whether there is room for its time beside its price, where so many hours stand beside one another. */
        public boolean isWide(int hours) {
            return span * 5 >= hours * 2;
        }
    }

    /**
     * A date of a month.
     *
     * @param words its number, or its number and month
     * @param full in words for lists
     * @param inside whether it is one of the month that is looked at
     */
    public record Day(String words, String full, boolean inside, boolean today, List<Session> sessions) {}

    /**
     * A session of a timetable.
     *
     * @param chip null: nobody can come any more
     * @param when its time, for one that is full
     */
    public record Session(String title, String address, String when, @Nullable Chip chip) {}
}

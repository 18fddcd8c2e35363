package ebauche.app.calendar;

import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.calendar.ShopWeek;
import java.time.Instant;
import java.time.LocalDate;

/** Says moments as the shop's clock shows them. */
public record ShopClock(ShopWeek week, Figures fig) {
    private static Instant instant(long minute) {
        return Instant.ofEpochSecond(minute * 60);
    }

    /** Day and time. */
    public String moment(long minute) {
        return fig.moment(instant(minute), week.zone());
    }

    public String time(long minute) {
        return fig.timeOfDay(instant(minute), week.zone());
    }

    public String day(LocalDate day) {
        return fig.weekday(day);
    }

    /** From one moment to another; the day once where it is the same. */
    public String span(long from, long to) {
        return Words.say("calendar.from-to", moment(from), week.day(from).equals(week.day(to)) ? time(to) : moment(to));
    }

    /** The time where a moment is today, else day and time. */
    public String until(long minute, LocalDate today) {
        return week.day(minute).equals(today) ? time(minute) : moment(minute);
    }
}

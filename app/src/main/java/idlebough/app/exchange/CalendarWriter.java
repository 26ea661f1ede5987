package idlebough.app.exchange;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import idlebough.app.web.Reader;
import idlebough.core.almanac.Task;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Date;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Writes the almanac as an iCalendar file (RFC 5545): whole days, the same identifier each time, so that loading again
 * moves and does not double.
 */
@Component
public class CalendarWriter {
    public String write(String orchardId, String orchard, List<Task> tasks, Reader say, Instant stamp) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Idle Bough//Almanac//EN");
        calendar.setName(orchard);
        for (Task task : tasks) {
            VEvent event = new VEvent();
            event.setUid(task.key() + "@" + orchardId);
            event.setSummary(say.of(task.what()));
            event.setDescription(say.of(task.why()));
            event.setDateTimeStamp(Date.from(stamp));
            event.setDateStart(day(task.from()), false);
            event.setDateEnd(day(task.to().plusDays(1)), false);
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).go();
    }

    private static ICalDate day(LocalDate day) {
        return new ICalDate(new DateTimeComponents(day.getYear(), day.getMonthValue(), day.getDayOfMonth()), false);
    }
}

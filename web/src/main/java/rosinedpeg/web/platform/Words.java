package rosinedpeg.web.platform;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/** Looks words up in the message bundle, in the language of the request. */
@Component
public class Words {

    private final MessageSource messages;

    /** Looks them up in this source. */
    public Words(MessageSource messages) {
        this.messages = messages;
    }

    /** {@return the text of a key with its arguments put in} */
    public String say(String key, Object... arguments) {
        return messages.getMessage(key, arguments, LocaleContextHolder.getLocale());
    }

    /** {@return what somebody is told, as of an entry that is wrong} */
    public String say(MessageSourceResolvable told) {
        return messages.getMessage(told, LocaleContextHolder.getLocale());
    }

    /** {@return several names in a row, as I, II and III; empty when there are none} */
    public String list(List<?> names) {
        if (names.isEmpty()) {
            return "";
        }
        String last = names.get(names.size() - 1).toString();
        if (names.size() == 1) {
            return last;
        }
        String first = names.subList(0, names.size() - 1).stream()
                .map(Object::toString)
                .collect(Collectors.joining(", "));
        return say("list.and", first, last);
    }
}

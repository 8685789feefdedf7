package rosinedpeg.web.platform;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.core.convert.ConversionException;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.convert.TypeDescriptor;
import org.springframework.format.support.FormattingConversionService;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.support.ConfigurableWebBindingInitializer;
import org.springframework.web.server.ResponseStatusException;

/**
 * A form that is a record is made whole or not at all. What people type is text and always makes one; what comes from a list or
 * a hidden field and cannot be read has been tampered with, and is answered as a bad request.
 */
@Component
class FormRecords extends ConfigurableWebBindingInitializer {

    private final ConfigurableWebBindingInitializer ofRecords = new ConfigurableWebBindingInitializer();

    FormRecords(FormattingConversionService mvcConversionService) {
        setConversionService(mvcConversionService);
        ofRecords.setConversionService(new Strict(mvcConversionService));
    }

    @Override
    public void initBinder(WebDataBinder binder) {
        var type = binder.getTargetType();
        if (type != null && type.toClass().isRecord()) {
            ofRecords.initBinder(binder);
        } else {
            super.initBinder(binder);
        }
    }

    /** Converts as another does, and answers what that cannot convert. */
    private record Strict(ConversionService service) implements ConversionService {

        @Override
        public boolean canConvert(@Nullable Class<?> from, Class<?> to) {
            return service.canConvert(from, to);
        }

        @Override
        public boolean canConvert(@Nullable TypeDescriptor from, TypeDescriptor to) {
            return service.canConvert(from, to);
        }

        @Override
        public <T> @Nullable T convert(@Nullable Object source, Class<T> to) {
            return refused(() -> service.convert(source, to));
        }

        @Override
        public @Nullable Object convert(@Nullable Object source, @Nullable TypeDescriptor from, TypeDescriptor to) {
            return refused(() -> service.convert(source, from, to));
        }

        private static <T> T refused(Supplier<T> conversion) {
            try {
                return conversion.get();
            } catch (ConversionException tampered) {
                throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "a form cannot be read", tampered);
            }
        }
    }
}

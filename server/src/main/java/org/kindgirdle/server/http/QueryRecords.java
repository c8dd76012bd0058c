package org.kindgirdle.server.http;

import jakarta.validation.Valid;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.validation.BindingResult;
import org.springframework.validation.beanvalidation.SpringValidatorAdapter;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Reads a record from the parameters of an address, as Spring's own way of binding a constructor does. That one looks up
 * every annotation of every component with each request: of a search with 29 of them it took half the time.
 */
@Configuration
class QueryRecords implements WebMvcConfigurer {

    private final Resolver resolver;

    QueryRecords(SpringValidatorAdapter validator) {
        this.resolver = new Resolver(validator);
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(resolver);
    }

    /** Asked after all that go by an annotation, and before what takes whatever is left. */
    private static final class Resolver implements HandlerMethodArgumentResolver {

        private final SpringValidatorAdapter validator;
        private final ClassValue<Parts> known = new ClassValue<>() {
            @Override
            protected Parts computeValue(Class<?> type) {
                return Parts.of(type);
            }
        };

        Resolver(SpringValidatorAdapter validator) {
            this.validator = validator;
        }

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType().isRecord();
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                @Nullable ModelAndViewContainer container,
                NativeWebRequest request,
                @Nullable WebDataBinderFactory binders)
                throws Exception {
            if (binders == null) {
                throw new IllegalStateException("values can't be read without a binder");
            }
            String name = String.valueOf(parameter.getParameterName());
            Parts parts = known.get(parameter.getParameterType());
            boolean isChecked = parameter.hasParameterAnnotation(Valid.class);
            WebDataBinder reading = binders.createBinder(request, null, name);
            @Nullable Object[] values = new Object[parts.names.length];
            for (int i = 0; i < values.length; i++) {
                values[i] = value(request.getParameterValues(parts.names[i]), parts, i, reading);
            }
            if (isChecked && reading.getBindingResult().hasErrors()) {
                checkThoseRead(parts, values, reading.getBindingResult());
            }
            refuse(reading.getBindingResult(), parameter);
            Object read = parts.make(values);
            if (isChecked) {
                WebDataBinder checking = binders.createBinder(request, read, name);
                checking.validate();
                refuse(checking.getBindingResult(), parameter);
            }
            return read;
        }

        private static @Nullable Object value(
                String @Nullable [] sent, Parts parts, int component, WebDataBinder binder) {
            if (sent == null) {
                return null;
            }
            Object value = sent.length == 1 ? sent[0] : sent;
            try {
                return binder.convertIfNecessary(value, parts.types[component]);
            } catch (TypeMismatchException wrong) {
                wrong.initPropertyName(parts.names[component]);
                binder.getBindingErrorProcessor().processPropertyAccessException(wrong, binder.getBindingResult());
                return null;
            }
        }

        /** What could be read is checked as well, so that one answer tells all that is wrong. */
        private void checkThoseRead(Parts parts, @Nullable Object[] values, BindingResult result) {
            for (int i = 0; i < values.length; i++) {
                if (!result.hasFieldErrors(parts.names[i])) {
                    validator.validateValue(parts.constructor.getDeclaringClass(), parts.names[i], values[i], result);
                }
            }
        }

        private static void refuse(BindingResult result, MethodParameter parameter)
                throws MethodArgumentNotValidException {
            if (result.hasErrors()) {
                throw new MethodArgumentNotValidException(parameter, result);
            }
        }
    }

    /** What a record is made of. */
    private record Parts(Constructor<?> constructor, String[] names, Class<?>[] types) {

        static Parts of(Class<?> type) {
            RecordComponent[] components = type.getRecordComponents();
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            try {
                Constructor<?> canonical = type.getDeclaredConstructor(types);
                canonical.setAccessible(true);
                return new Parts(
                        canonical,
                        Arrays.stream(components).map(RecordComponent::getName).toArray(String[]::new),
                        types);
            } catch (NoSuchMethodException e) {
                throw new IllegalStateException("a record without its constructor", e);
            }
        }

        Object make(@Nullable Object[] values) throws Exception {
            try {
                return constructor.newInstance(values);
            } catch (InvocationTargetException e) {
                throw e.getCause() instanceof Exception cause ? cause : e;
            }
        }
    }
}

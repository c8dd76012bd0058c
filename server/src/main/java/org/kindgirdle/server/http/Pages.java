package org.kindgirdle.server.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.filter.ShallowEtagHeaderFilter;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import org.springframework.web.servlet.support.AbstractFlashMapManager;

/** The pages of the application: hashed files are kept for a year, any other path is the one page that routes itself. */
@Configuration
class Pages implements WebMvcConfigurer {

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(
                        CacheControl.maxAge(365, TimeUnit.DAYS).cachePublic().immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new OnePage());
    }

    /** Falls back to the one page for every path that is no file. */
    private static final class OnePage extends PathResourceResolver {

        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            if (file != null) {
                return file;
            }
            return path.startsWith("api/") || path.startsWith("actuator/") || path.contains(".")
                    ? null
                    : new ClassPathResource("/static/index.html");
        }
    }

    /** No page of ours passes anything to the next one, so that no file needs the session, and so the database. */
    @Bean(DispatcherServlet.FLASH_MAP_MANAGER_BEAN_NAME)
    FlashMapManager noFlashMaps() {
        return new AbstractFlashMapManager() {
            @Override
            protected @Nullable List<FlashMap> retrieveFlashMaps(HttpServletRequest request) {
                return null;
            }

            @Override
            protected void updateFlashMaps(
                    List<FlashMap> maps, HttpServletRequest request, HttpServletResponse response) {
                throw new UnsupportedOperationException("pages pass nothing on");
            }
        };
    }

    @Bean
    FilterRegistrationBean<ShallowEtagHeaderFilter> etags() {
        FilterRegistrationBean<ShallowEtagHeaderFilter> filter =
                new FilterRegistrationBean<>(new ShallowEtagHeaderFilter());
        filter.addUrlPatterns("/api/v1/*");
        return filter;
    }

    /** What no other part of the API answers. */
    @Hidden
    @RestController
    static class NoSuchEndpoint {

        @RequestMapping("/api/**")
        Object none(HttpServletRequest request) {
            throw ProblemException.notFound("endpoint", request.getRequestURI());
        }
    }
}

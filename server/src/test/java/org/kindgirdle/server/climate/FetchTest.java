package org.kindgirdle.server.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.site.Sites;
import org.kindgirdle.server.time.BusinessClock;
import org.mockito.InOrder;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.ApplicationEventPublisher;

/** What comes of asking the station, whatever it answers. */
class FetchTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    private final WeatherStore store = mock(WeatherStore.class);
    private final Sites sites = mock(Sites.class);
    private final NurseryLock lock = mock(NurseryLock.class);
    private final Station station = mock(Station.class);
    private final ObjectProvider<Station> stations = mock();
    private final Weather weather;

    FetchTest() {
        when(stations.getIfAvailable()).thenReturn(station);
        weather = new Weather(
                store, sites, lock, mock(BusinessClock.class), mock(ApplicationEventPublisher.class), stations);
    }

    @BeforeEach
    void aSiteWithWeatherUpToLastSunday() {
        when(sites.hasSite()).thenReturn(true);
        when(store.hasForecast(TODAY)).thenReturn(false);
        when(store.lastMeasured()).thenReturn(Optional.of(LocalDate.of(2026, 7, 5)));
    }

    @Test
    void it_is_asked_for_the_days_that_are_missing_and_then_nobody_records_meanwhile() {
        WeatherDay monday = new WeatherDay(LocalDate.of(2026, 7, 6), 11, 21, null, null);
        WeatherDay today = new WeatherDay(TODAY, 12, 24, null, null);
        when(station.measured(LocalDate.of(2026, 7, 6), TODAY)).thenReturn(List.of(monday));
        when(station.forecast(TODAY)).thenReturn(List.of(today));

        assertThat(weather.fetch(TODAY)).isTrue();

        InOrder order = inOrder(station, lock, store);
        order.verify(station).measured(LocalDate.of(2026, 7, 6), TODAY);
        order.verify(lock).holdForChange();
        order.verify(store).put(List.of(monday), WeatherStore.Source.STATION);
        order.verify(store).putForecast(TODAY, List.of(today));
    }

    @Test
    void one_that_does_not_answer_holds_nobody_up_and_writes_nothing() {
        when(station.measured(any(), any())).thenThrow(new IllegalStateException("no route to the mast"));

        assertThat(weather.fetch(TODAY)).isFalse();

        verifyNoInteractions(lock);
        verify(store, never()).put(any(), any());
        verify(store, never()).putForecast(any(), any());
    }

    @Test
    void half_an_answer_is_none() {
        when(station.measured(any(), any())).thenReturn(List.of());
        when(station.forecast(any())).thenThrow(new IllegalStateException("the line went dead"));

        assertThat(weather.fetch(TODAY)).isFalse();

        verify(store, never()).put(any(), any());
    }

    @Test
    void it_is_asked_once_a_day() {
        when(store.hasForecast(TODAY)).thenReturn(true);

        assertThat(weather.fetch(TODAY)).isFalse();

        verifyNoInteractions(station, lock);
    }
}

package org.kindgirdle.server.plan;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A target and how far it has come.
 *
 * @param headline what to do for it, in a sentence
 * @param layers that were to be set when it was made
 * @param rooted seen full, or off the mother, whatever became of them since
 * @param expected plants by the day; between {@code low} and {@code high} in four of five cases
 * @param reachedP the chance of as many as are wanted
 * @param more layers to set now, to be as sure as is wanted; null if it is too late, or none are
 * @param latestSetOn the last day for those
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STAGED)
public record TargetView(
        long id,
        String name,
        String speciesCode,
        String common,
        String variety,
        int wanted,
        LocalDate by,
        double confidence,
        LocalDate countsFrom,
        int layers,
        String headline,
        int set,
        int rooted,
        int potted,
        int released,
        int lost,
        double expected,
        int low,
        int high,
        double reachedP,
        @Nullable Integer more,
        @Nullable LocalDate latestSetOn,
        long version) {}

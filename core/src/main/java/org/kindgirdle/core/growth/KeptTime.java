package org.kindgirdle.core.growth;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A time to a full ball as bytes, to be kept with its layer: the figures and looks that it rests on, and what they left.
 * It is a copy of what can be worked out again; bytes that are not understood are as good as none.
 */
public final class KeptTime {

    private static final byte FORM = 2;

    private static final int MAX_LOOKS = 250;

    private KeptTime() {}

    /** Null where nothing was seen, and for more looks than anybody makes: that is as quickly worked out. */
    public static byte @Nullable [] bytes(TimeToReady time) {
        double[] cdf = time.cdf();
        List<StageSeen> looks = time.looks();
        if (cdf == null || looks.size() > MAX_LOOKS) {
            return null;
        }
        int doubles = 4 + time.figures().size() + cdf.length + looks.size();
        ByteBuffer buffer = ByteBuffer.allocate(3 + looks.size() + Double.BYTES * doubles);
        buffer.put(FORM).put((byte) looks.size()).put((byte) time.figures().size());
        for (StageSeen look : looks) {
            buffer.put((byte) look.stage().ordinal()).putDouble(look.thermalDays());
        }
        time.figures().forEach(buffer::putDouble);
        buffer.putDouble(time.d50())
                .putDouble(time.spread())
                .putDouble(time.rootsBefore())
                .putDouble(time.roots());
        for (double mass : cdf) {
            buffer.putDouble(mass);
        }
        return buffer.array();
    }

    /** What was kept; null for nothing and for what is not understood. */
    public static @Nullable TimeToReady read(byte @Nullable [] bytes) {
        if (bytes == null || bytes.length < 3 || bytes[0] != FORM) {
            return null;
        }
        try {
            ByteBuffer buffer = ByteBuffer.wrap(bytes);
            buffer.get();
            int count = Byte.toUnsignedInt(buffer.get());
            int figureCount = Byte.toUnsignedInt(buffer.get());
            List<StageSeen> looks = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                looks.add(new StageSeen(RootStage.values()[buffer.get()], buffer.getDouble()));
            }
            List<Double> figures = new ArrayList<>();
            for (int i = 0; i < figureCount; i++) {
                figures.add(buffer.getDouble());
            }
            double d50 = buffer.getDouble();
            double spread = buffer.getDouble();
            double rootsBefore = buffer.getDouble();
            double roots = buffer.getDouble();
            double[] cdf = new double[TimeToReady.POINTS];
            for (int i = 0; i < cdf.length; i++) {
                cdf[i] = buffer.getDouble();
            }
            return buffer.hasRemaining()
                    ? null
                    : TimeToReady.kept(d50, spread, rootsBefore, figures, looks, roots, cdf);
        } catch (BufferUnderflowException | IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
            return null;
        }
    }
}

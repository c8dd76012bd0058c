package org.kindgirdle.server.photos;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.util.Set;

/** A PNG as it comes in, with only those of its chunks that the picture is made of (PNG specification, 11.2). */
final class PlainPng extends InputStream {

    private static final int SIGNATURE_BYTES = 8;
    private static final int CHECK_BYTES = 4;

    /** IHDR, PLTE, tRNS, IDAT, IEND. */
    private static final Set<Integer> OF_THE_PICTURE =
            Set.of(0x49484452, 0x504C5445, 0x74524E53, 0x49444154, 0x49454E44);

    private final DataInputStream in;
    private ByteBuffer head;
    private long body;

    PlainPng(DataInputStream in) throws IOException {
        this.in = in;
        this.head = ByteBuffer.wrap(in.readNBytes(SIGNATURE_BYTES));
    }

    @Override
    public int read() throws IOException {
        byte[] one = new byte[1];
        return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
        if (most == 0) {
            return 0;
        }
        while (!head.hasRemaining() && body == 0) {
            if (!next()) {
                return -1;
            }
        }
        if (head.hasRemaining()) {
            int some = Math.min(most, head.remaining());
            head.get(into, from, some);
            return some;
        }
        int some = in.read(into, from, (int) Math.min(most, body));
        body = some < 0 ? 0 : body - some;
        return some;
    }

    /** Goes to the next chunk that is wanted. @return whether there is one */
    private boolean next() throws IOException {
        try {
            while (true) {
                int length = in.readInt();
                int type = in.readInt();
                if (length < 0) {
                    return false;
                }
                if (OF_THE_PICTURE.contains(type)) {
                    head = ByteBuffer.allocate(2 * Integer.BYTES).putInt(length).putInt(type);
                    head.flip();
                    body = (long) length + CHECK_BYTES;
                    return true;
                }
                in.skipNBytes((long) length + CHECK_BYTES);
            }
        } catch (EOFException end) {
            return false;
        }
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}

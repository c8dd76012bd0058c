-- What a layer's looks leave of its time to a full ball and of its chance to root, as it was worked out when a look or a
-- figure changed last. A copy: bytes that are not understood are worked out again.
alter table layer add column kept_time varbinary(4096);

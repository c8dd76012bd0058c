-- Arid sites have no dew; each place has its own wind.
alter table site add column arid boolean not null default false;
alter table place add column stand varchar(10) not null default 'OPEN';
alter table place add constraint place_stand check (stand in ('COVERED', 'SHELTERED', 'OPEN'));

-- One row a day that was measured, at the site. What replaces a day takes its row.
create table weather_day (
    day date primary key,
    min_c double not null,
    max_c double not null,
    wind_ms double,
    rain_mm double,
    source varchar(10) not null,
    recorded_by varchar(40) not null,
    recorded_at datetime(6) not null,
    constraint weather_day_source check (source in ('TYPED', 'IMPORTED', 'STATION'))
);

-- Forecasts keep the day on which they were issued, so that what was known then can be told later.
create table forecast_day (
    issued_on date not null,
    day date not null,
    min_c double not null,
    max_c double not null,
    wind_ms double,
    rain_mm double,
    primary key (issued_on, day)
);

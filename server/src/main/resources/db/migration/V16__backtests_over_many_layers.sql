-- All that a backtest reads of the records, so that it reads nothing else.
alter table layer_event
    add index layer_event_said (layer_id, on_date, kind, corrects, ready10_on, ready50_on, ready90_on);

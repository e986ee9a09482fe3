-- A forecast is taken back by itself: what was said before it, of the same days, holds again.
alter table air_forecast
  add constraint air_forecast_own unique (studio_id, id),
  add column takes_back uuid unique,
  add foreign key (studio_id, takes_back) references air_forecast (studio_id, id),
  add constraint air_forecast_back check (takes_back is null or num_nonnulls(temperature, humidity) = 0);

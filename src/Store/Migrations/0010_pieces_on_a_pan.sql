-- How many lie on a pan is one figure, the pan's: what the clock had as places becomes it where it was more.
update bread set spec = json_set(json_remove(spec, '$.clock.places'), '$.pan.together', max(coalesce(spec ->> '$.pan.together', 1), spec ->> '$.clock.places'))
where spec ->> '$.clock.places' is not null;
update batch set spec = json_set(json_remove(spec, '$.clock.places'), '$.pan.together', max(coalesce(spec ->> '$.pan.together', 1), spec ->> '$.clock.places'))
where spec ->> '$.clock.places' is not null;
update log_entry set spec = json_set(json_remove(spec, '$.clock.places'), '$.pan.together', max(coalesce(spec ->> '$.pan.together', 1), spec ->> '$.clock.places'))
where spec ->> '$.clock.places' is not null;
update service set body = json_set(
    json_remove(body, '$.service.clock.places'),
    '$.service.breads', (
        select json_group_array(json_set(b.value, '$.spec.pan.together', max(coalesce(b.value ->> '$.spec.pan.together', 1), body ->> '$.service.clock.places')))
        from json_each(body, '$.service.breads') b))
where body ->> '$.service.clock.places' is not null;

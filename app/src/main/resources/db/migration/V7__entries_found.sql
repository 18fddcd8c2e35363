-- What the shop's pages look for among all its entries, read out of each by the database itself, so that ten thousands of
-- entries are not opened for the few that are meant.
alter table entry
    add column kind varchar(20) character set ascii as (json_value(entry, '$.kind')) virtual,
    add column hand varchar(120) character set utf8mb4 collate utf8mb4_nopad_bin as (json_value(entry, '$.by')) virtual,
    -- a step that waits for a yes, or a mishap that is to be made good
    add column unsettled boolean as
        (coalesce(json_value(entry, '$.kind') = 'asked' or json_value(entry, '$.open') = 'yes', false)) virtual,
    -- a long hole, measured where it came out
    add column strays boolean as (json_exists(entry, '$.astray')) virtual,
    -- a step with a router's bit
    add column routs boolean as (json_exists(entry, '$.routed')) virtual,
    add index entry_kind (shop, kind),
    add index entry_hand (shop, hand),
    add index entry_unsettled (shop, unsettled, body),
    add index entry_strays (shop, strays),
    add index entry_routs (shop, routs);

-- the shop's numbers stand beside what the shop keeps, a document as their earlier states are
INSERT INTO thing SELECT 'numbers', '1', version, json_object(
    'v', 2,
    'identity', json_object(
      'name', shop_name, 'address', address, 'contact', contact,
      'format', json_object(
        'sign', sign, 'signAfter', json(iif(sign_after, 'true', 'false')), 'decimalMark', decimal_mark,
        'groupMark', group_mark, 'minorDigits', minor_digits, 'dayFirst', json(iif(day_first, 'true', 'false')),
        'twelveHours', json(iif(twelve_hours, 'true', 'false')), 'metric', json(iif(metric, 'true', 'false')),
        'celsius', json(iif(celsius, 'true', 'false')), 'language', language),
      'paper', paper, 'timeZone', time_zone),
    'rates', json_object(
      'wage', json(money(wage_micros)), 'overheadPerHour', json(money(overhead_micros)),
      'tariffPerKwh', json(money(tariff_micros)), 'consumablesPerStart', json(money(consumables_micros)),
      'orderMinutes', json(exact(order_minutes)), 'artworkMinutes', json(exact(artwork_minutes)),
      'fixedCosts', (SELECT json_group_array(json_object('name', name, 'perMonth', json(money(month_micros)))
        ORDER BY position) FROM fixed_cost),
      'productiveShare', json(exact(productive_share)),
      'spoilage', (SELECT json_group_array(json_object('methodId', method_id, 'share', json(exact(share)))
        ORDER BY method_id) FROM learned_spoilage),
      'handsWorth', word(hands_worth), 'handsWorthAnHour', json(money(hands_worth_micros)),
      'completeShare', json(exact(complete_share))),
    'week', json_object(
      'days', (SELECT json_group_array(json_object('open', opens || ':00', 'close', closes || ':00') ORDER BY weekday)
        FROM day_hours),
      'people', (SELECT json_group_array(json_object(
          'id', p.id, 'name', p.name, 'wage', json(money(p.wage_micros)),
          'onCostsShare', json(money(p.on_costs_micros)),
          'week', (SELECT json_group_array(json_object('open', d.opens || ':00', 'close', d.closes || ':00')
            ORDER BY d.weekday) FROM person_day d WHERE d.person_id = p.id),
          'lunchFrom', p.lunch_from || ':00', 'lunchMinutes', p.lunch_minutes,
          'daysOff', (SELECT json_group_array(o.day ORDER BY o.day) FROM person_off o WHERE o.person_id = p.id))
        ORDER BY p.position) FROM person p)),
    'prices', json_object(
      'retail', json_object(
        'kind', word(retail_kind), 'marginShare', json(money(margin_share_micros)),
        'multiple', json(money(retail_multiple_micros)), 'of', word(retail_of),
        'perHour', json(money(retail_hour_micros))),
      'wholesale', json_object(
        'kind', word(wholesale_kind), 'marginShare', json(money(wholesale_margin_micros)),
        'multiple', json(money(wholesale_multiple_micros)), 'of', word(wholesale_of),
        'perHour', json(money(wholesale_hour_micros))),
      'leastMarginShare', json(money(least_margin_micros)), 'minimumCharge', json(money(minimum_charge_micros)),
      'roundingStep', json(money(rounding_step_micros)), 'inversion', word(inversion),
      'sizePricing', word(size_pricing),
      'tierSteps', json('[' || iif(tier_steps = '', '12,24,36,48,72,144', tier_steps) || ']'),
      'theirsPerPiece', json(money(theirs_micros)), 'ruleOfThumb', json(money(rule_of_thumb_micros))),
    'fees', json_object(
      'share', json(money(fee_share_micros)), 'fixed', json(money(fee_fixed_micros)), 'base', word(fee_base),
      'taxShare', json(money(tax_share_micros))),
    'packing', json_object(
      'packagings', (SELECT iif(count(*) = 0,
          json('[{"name":"Mailer","mostTees":4,"mostGrams":1000,"ownGrams":25,"price":0.35},'
            || '{"name":"Small box","mostTees":18,"mostGrams":6000,"ownGrams":220,"price":1.1},'
            || '{"name":"Large box","mostTees":60,"mostGrams":18000,"ownGrams":480,"price":2.4}]'),
          json_group_array(json_object(
            'name', name, 'mostTees', json(exact(most_tees)), 'mostGrams', json(exact(most_grams)),
            'ownGrams', json(exact(own_grams)), 'price', json(money(price_micros))) ORDER BY position))
        FROM packaging),
      'perPiece', json(money(packing_micros)), 'parcelMinutes', json(exact(parcel_minutes))),
    'floor', json_object(
      'habits', json_object(
        'policy', word(floor_policy), 'firstPiece', json(iif(first_piece, 'true', 'false')),
        'rackPlaces', rack_places, 'measured', json(iif(measured, 'true', 'false')),
        'coldPlate', json(iif(cold_plate, 'true', 'false')),
        'handsOnOnly', json(iif(hands_on_only, 'true', 'false')), 'second', word(second_habit),
        'times', (SELECT json_group_array(json_object('code', code, 'seconds', json(exact(seconds))) ORDER BY code)
          FROM step_time),
        'covers', (SELECT json_group_array(json_object(
            'cover', word(cover), 'price', json(money(price_micros)), 'uses', uses) ORDER BY cover)
          FROM cover_price),
        'testFirst', json(iif(test_first, 'true', 'false')),
        'prepareBeside', json(iif(prepare_beside, 'true', 'false'))),
      'handsFactor', json(exact(hands_factor)), 'swapMinutes', json(exact(swap_minutes)),
      'dialMinutes', json(exact(dial_minutes)),
      'setUpWhileHeating', json(iif(set_up_while_heating, 'true', 'false')),
      'slowTenthShare', json(exact(slow_tenth_share)),
      'unattended', json(iif(unattended = '', '[]',
        '["' || replace(replace(replace(unattended, '\', '\\'), '"', '\"'), char(10), '","') || '"]')),
      'testMinutes', json(exact(test_minutes))),
    'terms', json_object('depositShare', json(money(deposit_share_micros)), 'validityDays', validity_days))
FROM settings;

DROP TABLE day_hours;
DROP TABLE person_off;
DROP TABLE person_day;
DROP TABLE person;
DROP TABLE fixed_cost;
DROP TABLE learned_spoilage;
DROP TABLE packaging;
DROP TABLE step_time;
DROP TABLE cover_price;
DROP TABLE settings;

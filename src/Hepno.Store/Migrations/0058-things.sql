-- what the shop keeps stands in one table, a document each, as its earlier states do; exact, money and word are functions
-- of the program: a number to its last digit, micro-units as a decimal, an enumeration's word as documents spell it
CREATE TABLE thing (
  kind TEXT NOT NULL, id TEXT NOT NULL, version INTEGER NOT NULL, document TEXT NOT NULL, PRIMARY KEY (kind, id)
) STRICT;

INSERT INTO thing SELECT 'film', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier, 'product', product,
    'sizes', (SELECT json_group_array(json_object(
          'name', s.name, 'widthIn', json(exact(s.width_in)), 'heightIn', json(exact(s.height_in)),
          'breaks', (SELECT json_group_array(json_object(
            'from', from_count, 'price', json(money(price_micros))) ORDER BY b.position)
        FROM film_break b WHERE b.film_id = s.film_id AND b.size_position = s.position)) ORDER BY s.position)
      FROM film_size s WHERE s.film_id = film.id),
    'freightPerOrder', json(money(freight_micros)), 'leadDays', lead_days,
    'byLayout', iif(gap_in IS NULL, NULL, json_object(
        'gapIn', json(exact(gap_in)), 'marginIn', json(exact(coalesce(margin_in, 0.0))),
        'roll', iif(roll_width_in IS NULL, NULL, json_object(
          'widthIn', json(exact(roll_width_in)), 'stepIn', json(exact(coalesce(roll_step_in, 0.0))),
          'steps', (SELECT json_group_array(json_object(
              'from', from_count, 'price', json(money(price_micros))) ORDER BY position)
          FROM film_roll_step WHERE film_id = film.id),
          'lengths', (SELECT json_group_array(json_object(
              'lengthIn', json(exact(length_in)), 'price', json(money(price_micros))) ORDER BY position)
          FROM film_roll_length WHERE film_id = film.id))),
        'sheets', (SELECT json_group_array(json_object(
            'name', s.name, 'widthIn', json(exact(s.width_in)), 'lengthIn', json(exact(s.length_in)),
            'breaks', (SELECT json_group_array(json_object(
                'from', from_count, 'price', json(money(price_micros))) ORDER BY b.position)
            FROM film_sheet_break b WHERE b.film_id = s.film_id AND b.sheet_position = s.position)) ORDER BY s.position)
        FROM film_sheet s WHERE s.film_id = film.id))),
    'kind', word(kind), 'soldBelow', json(iif(sold_below, 'true', 'false')))
FROM film ORDER BY rowid;

INSERT INTO thing SELECT 'vinyl', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier, 'product', product, 'usableWidthIn', json(exact(usable_width_in)),
    'pricePerFoot', json(money(price_foot_micros)), 'weedingMarginIn', json(exact(weeding_margin_in)),
    'freightPerOrder', json(money(freight_micros)), 'leadDays', lead_days,
    'sharedMargin', json(iif(shared_margin, 'true', 'false')), 'blocks', json(iif(blocks, 'true', 'false')),
    'finish', word(finish))
FROM vinyl ORDER BY rowid;

INSERT INTO thing SELECT 'screen', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier, 'product', product, 'formula', word(formula),
    'sheets', (SELECT json_group_array(json_object(
          'name', s.name, 'widthIn', json(exact(s.width_in)), 'heightIn', json(exact(s.height_in)),
          'prices', (SELECT json_group_array(json_object('colours', colours, 'breaks', json(breaks)) ORDER BY first)
        FROM (SELECT colours, min(position) AS first, json_group_array(json_object(
            'from', from_count, 'price', json(money(price_micros))) ORDER BY position) AS breaks
          FROM screen_break b WHERE b.list_id = s.list_id AND b.sheet_position = s.position GROUP BY colours))) ORDER BY s.position)
      FROM screen_sheet s WHERE s.list_id = screen_list.id),
    'setUpPerColour', json(money(set_up_micros)), 'countsWhite', json(iif(counts_white, 'true', 'false')),
    'leastSheets', least_sheets, 'freightPerOrder', json(money(freight_micros)), 'leadDays', lead_days)
FROM screen_list ORDER BY rowid;

INSERT INTO thing SELECT 'film-printer', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'rollWidthIn', json(exact(roll_width_in)), 'gapIn', json(exact(gap_in)),
    'speedIn2PerMinute', json(exact(speed_in2_minute)), 'colourMlPerIn2', json(exact(colour_ml_in2)),
    'colourPricePerMl', json(money(colour_ml_micros)), 'whiteMlPerIn2', json(exact(white_ml_in2)),
    'whitePricePerMl', json(money(white_ml_micros)), 'whiteOnLight', json(iif(white_on_light, 'true', 'false')),
    'filmPricePerIn2', json(money(film_in2_micros)), 'powderGPerIn2', json(exact(powder_g_in2)),
    'powderPricePerG', json(money(powder_g_micros)), 'cleaningMlPerDay', json(exact(cleaning_ml_day)),
    'cleaningPricePerMl', json(money(cleaning_ml_micros)), 'printsPerDay', json(exact(prints_day)),
    'cure', word(cure),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions, 'cureF', json(exact(cure_f)))
FROM film_printer ORDER BY rowid;

INSERT INTO thing SELECT 'dye-printer', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'speedIn2PerMinute', json(exact(speed_in2_minute)),
    'inkMlPerIn2', json(exact(ink_ml_in2)), 'inkPricePerMl', json(money(ink_ml_micros)),
    'sheetWidthIn', json(exact(sheet_width_in)), 'sheetHeightIn', json(exact(sheet_height_in)),
    'sheetMarginIn', json(exact(sheet_margin_in)), 'sheetPrice', json(money(sheet_micros)),
    'tapeInPerPrint', json(exact(tape_in_print)), 'tapePricePerIn', json(money(tape_in_micros)),
    'protectionPrice', json(money(protection_micros)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions)
FROM dye_printer ORDER BY rowid;

INSERT INTO thing SELECT 'paper-printer', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'speedIn2PerMinute', json(exact(speed_in2_minute)),
    'widestIn', json(exact(widest_in)), 'inkMlPerIn2', json(exact(ink_ml_in2)),
    'inkPricePerMl', json(money(ink_ml_micros)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions)
FROM paper_printer ORDER BY rowid;

INSERT INTO thing SELECT 'garment-printer', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'speedIn2PerMinute', json(exact(speed_in2_minute)),
    'mostWidthIn', json(exact(most_width_in)), 'mostHeightIn', json(exact(most_height_in)),
    'colourMlPerIn2', json(exact(colour_ml_in2)), 'colourPricePerMl', json(money(colour_ml_micros)),
    'whiteMlPerIn2', json(exact(white_ml_in2)), 'whitePricePerMl', json(money(white_ml_micros)),
    'pretreatMlPerIn2', json(exact(pretreat_ml_in2)), 'pretreatPricePerMl', json(money(pretreat_ml_micros)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions)
FROM garment_printer ORDER BY rowid;

INSERT INTO thing SELECT 'stitch-machine', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'stitchesPerMinute', json(exact(stitches_minute)), 'heads', heads,
    'needles', needles, 'hoopWidthIn', json(exact(hoop_width_in)), 'hoopHeightIn', json(exact(hoop_height_in)),
    'takesCaps', json(iif(takes_caps, 'true', 'false')), 'threadPerThousand', json(money(thread_thousand_micros)),
    'backingPerPiece', json(money(backing_micros)), 'digitisingPerDesign', json(money(digitising_micros)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions, 'appliqueFilmPerIn2', json(money(applique_micros)),
    'reachedShare', json(exact(reached_share)), 'colourChangeSeconds', json(exact(colour_change_seconds)))
FROM stitch_machine ORDER BY rowid;

INSERT INTO thing SELECT 'paper', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier, 'product', product, 'kind', word(kind),
    'sheetWidthIn', json(exact(sheet_width_in)), 'sheetHeightIn', json(exact(sheet_height_in)),
    'marginIn', json(exact(margin_in)), 'marksIn', json(exact(marks_in)), 'bleedIn', json(exact(bleed_in)),
    'sheetPrice', json(money(sheet_micros)), 'freightPerOrder', json(money(freight_micros)), 'leadDays', lead_days)
FROM paper ORDER BY rowid;

INSERT INTO thing SELECT 'outside-printer', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier, 'setUpPerScreen', json(money(set_up_micros)),
    'prices', (SELECT json_group_array(json_object('colours', screens, 'breaks', json(breaks)) ORDER BY first)
      FROM (SELECT screens, min(position) AS first, json_group_array(json_object(
          'from', from_count, 'price', json(money(price_micros))) ORDER BY position) AS breaks
        FROM outside_break WHERE printer_id = outside_printer.id GROUP BY screens)),
    'leastPieces', least_pieces, 'spareShare', json(exact(spare_share)),
    'freightThere', json(money(freight_there_micros)), 'freightBack', json(money(freight_back_micros)),
    'leadDays', lead_days, 'mostWidthIn', json(exact(most_width_in)), 'mostHeightIn', json(exact(most_height_in)),
    'repeatPerScreen', json(money(repeat_micros)), 'keepsMonths', keeps_months,
    'blanks', (SELECT json_group_array(json_object(
          'kind', word(kind), 'price', json(money(price_micros))) ORDER BY position)
      FROM outside_blank WHERE printer_id = outside_printer.id))
FROM outside_printer ORDER BY rowid;

INSERT INTO thing SELECT 'pod-service', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier,
    'prices', (SELECT json_group_array(json_object(
          'kind', word(kind), 'price', json(money(price_micros))) ORDER BY position)
      FROM pod_price WHERE service_id = pod_service.id),
    'furtherPlacement', json(money(further_micros)), 'postageFirst', json(money(postage_first_micros)),
    'postageFurther', json(money(postage_further_micros)), 'makingDays', making_days, 'transitDays', transit_days,
    'orderMinutes', json(exact(order_minutes)), 'mostWidthIn', json(exact(most_width_in)),
    'mostHeightIn', json(exact(most_height_in)))
FROM pod_service ORDER BY rowid;

INSERT INTO thing SELECT 'cloth', id, version, json_object(
    'v', 2, 'id', id, 'supplier', supplier, 'product', product, 'polyesterPercent', json(exact(polyester_percent)),
    'weightGsm', json(exact(weight_gsm)), 'widthIn', json(exact(width_in)), 'pricePerFoot', json(money(foot_micros)),
    'stepIn', json(exact(step_in)), 'shrinkShare', json(exact(shrink_share)),
    'freightPerOrder', json(money(freight_micros)), 'leadDays', lead_days)
FROM cloth ORDER BY rowid;

INSERT INTO thing SELECT 'calender', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'paperWidthIn', json(exact(paper_width_in)),
    'paperPricePerFoot', json(money(paper_foot_micros)), 'printIn2PerMinute', json(exact(print_in2_minute)),
    'inkMlPerIn2', json(exact(ink_ml_in2)), 'inkPricePerMl', json(money(ink_ml_micros)),
    'inPerMinute', json(exact(in_minute)), 'notionsPerPiece', json(money(notions_micros)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions)
FROM calender ORDER BY rowid;

INSERT INTO thing SELECT 'cutter', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'cutWidthIn', json(exact(cut_width_in)),
    'speedIn2PerMinute', json(exact(speed_in2_minute)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions)
FROM cutter ORDER BY rowid;

INSERT INTO thing SELECT 'press', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'kind', kind, 'platenWidthIn', json(exact(platen_width_in)),
    'platenHeightIn', json(exact(platen_height_in)), 'warmUpMinutes', json(exact(warm_up_minutes)),
    'riseFPerMinute', json(exact(rise_f)), 'dropFPerMinute', json(exact(drop_f)), 'offsetF', json(exact(offset_f)),
    'equipment', json_object(
      'priceNew', json(money(price_new_micros)), 'resale', json(money(resale_micros)),
      'usefulYears', json(exact(useful_years)), 'productiveHoursAYear', json(exact(hours_a_year)),
      'powerKw', json(exact(power_kw)), 'dutyShare', json(exact(duty_share)),
      'upkeepPerHour', json(money(upkeep_micros))),
    'cautions', cautions,
    'lowers', (SELECT json_group_array(json_object(
          'name', name, 'widthIn', json(exact(width_in)), 'heightIn', json(exact(height_in))) ORDER BY position)
      FROM press_lower WHERE press_id = press.id),
    'maps', (SELECT json_group_array(json_object(
          'day', day, 'setPointF', json(exact(set_f)), 'pointsF', json('[' || replace(points, ' ', ',') || ']'),
          'doubtful', json(iif(doubtful, 'true', 'false')), 'by', by_whom) ORDER BY position)
      FROM press_map WHERE press_id = press.id),
    'dials', (SELECT json_group_array(json_object(
          'pressure', pressure, 'thickness', word(thickness), 'lower', lower, 'dial', json(exact(dial)),
          'pillow', pillow) ORDER BY position)
      FROM press_dial WHERE press_id = press.id),
    'loadsBeside', json(iif(loads_beside, 'true', 'false')),
    'accessories', (SELECT json_group_array(json_object(
          'name', name, 'kind', word(kind), 'widthIn', json(exact(width_in)), 'heightIn', json(exact(height_in)),
          'thicknessIn', json(exact(thickness_in)), 'uses', uses, 'since', since) ORDER BY position)
      FROM press_accessory WHERE press_id = press.id),
    'coldBelowF', json(exact(cold_below_f)))
FROM press ORDER BY rowid;

INSERT INTO thing SELECT 'recipe', id, version, json_object(
    'v', 2, 'id', id, 'productId', product_id, 'revision', revision, 'fabric', word(fabric),
    'temperatureF', json(exact(temperature_f)), 'dwellSeconds', json(exact(dwell_seconds)),
    'dwellSlackSeconds', json(exact(dwell_slack_seconds)), 'pressure', pressure,
    'prePressSeconds', json(exact(pre_press_seconds)), 'peel', word(peel),
    'peelAfterSeconds', json(exact(peel_after_seconds)), 'secondPressSeconds', json(exact(second_press_seconds)),
    'side', side, 'source', word(source), 'asOf', as_of, 'caution', caution, 'cover', word(cover),
    'neverAgain', json(iif(never_again, 'true', 'false')), 'peelWindowSeconds', json(exact(peel_window_seconds)),
    'parameters', (SELECT json_group_array(json_object(
          'name', parameter, 'source', word(source), 'asOf', as_of, 'note', note) ORDER BY position)
      FROM recipe_parameter WHERE recipe_id = recipe.id))
FROM recipe ORDER BY rowid;

INSERT INTO thing SELECT 'spot-test', id, version, json_object(
    'v', 2, 'id', id, 'productId', product_id, 'styleId', style_id, 'colourwayId', colourway_id,
    'temperatureF', json(exact(temperature_f)), 'dwellSeconds', json(exact(dwell_seconds)), 'pressure', pressure,
    'day', day, 'by', by_whom, 'sticks', json(iif(sticks, 'true', 'false')),
    'scorched', json(iif(scorched, 'true', 'false')), 'bleeding', word(bleeding), 'feel', feel, 'note', note,
    'washes', (SELECT json_group_array(json_object(
          'day', day, 'washes', washes, 'verdict', word(verdict)) ORDER BY position)
      FROM spot_test_wash WHERE spot_test_id = spot_test.id),
    'garmentId', garment_id,
    'photos', (SELECT json_group_array(json_object(
          'id', photo_id, 'hash', hash, 'washes', washes) ORDER BY position)
      FROM spot_test_photo WHERE spot_test_id = spot_test.id))
FROM spot_test ORDER BY rowid;

INSERT INTO thing SELECT 'test-garment', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'fabric', fabric, 'pieces', pieces, 'note', note)
FROM test_garment ORDER BY rowid;

INSERT INTO thing SELECT 'kept-print', id, version, json_object(
    'v', 2, 'id', id, 'name', name, 'widthIn', json(exact(width_in)), 'heightIn', json(exact(height_in)),
    'designId', design_id, 'productId', product_id, 'keep', keep, 'goodDays', good_days,
    'lots', (SELECT json_group_array(json_object(
          'count', pieces, 'on', on_date, 'order', order_code) ORDER BY position)
      FROM kept_print_lot WHERE kept_id = kept_print.id))
FROM kept_print ORDER BY rowid;

INSERT INTO thing SELECT 'remnant', id, version, json_object(
    'v', 2, 'id', id, 'vinylId', vinyl_id, 'colour', colour, 'widthIn', json(exact(width_in)),
    'lengthIn', json(exact(length_in)), 'since', since, 'from', from_order,
    'isGone', json(iif(gone, 'true', 'false')))
FROM remnant ORDER BY rowid;

INSERT INTO thing SELECT 'upkeep', id, version, json_object(
    'v', 2, 'id', id,
    'tasks', (SELECT json_group_array(json_object(
          'id', task_id, 'name', name, 'every', word(every), 'minutes', json(exact(minutes)),
          'cost', json(money(cost_micros)), 'timesAYear', json(exact(times_a_year))) ORDER BY position)
      FROM upkeep_task WHERE upkeep_id = upkeep.id),
    'done', (SELECT json_group_array(json_object(
          'taskId', task_id, 'day', day, 'by', by_whom, 'note', note) ORDER BY position)
      FROM upkeep_done WHERE upkeep_id = upkeep.id))
FROM upkeep ORDER BY rowid;

INSERT INTO thing SELECT 'supplies', id, version, json_object(
    'v', 2, 'id', id,
    'slots', (SELECT json_group_array(json_object(
          'supply', word(s.supply),
          'takes', (SELECT json_group_array(product ORDER BY t.position)
        FROM supplies_takes t WHERE t.supplies_id = s.supplies_id AND t.supply = s.supply),
          'full', json(exact(s.full_at)), 'lowAt', json(exact(s.low_at))) ORDER BY s.position)
      FROM supplies_slot s WHERE s.supplies_id = supplies.id),
    'loadings', (SELECT json_group_array(json_object(
          'supply', word(supply), 'product', product, 'lot', lot, 'at', at_wall, 'level', json(exact(level)),
          'by', by_whom) ORDER BY position)
      FROM supplies_loading WHERE supplies_id = supplies.id))
FROM supplies ORDER BY rowid;

DROP TABLE film_size;
DROP TABLE film_break;
DROP TABLE film_roll_step;
DROP TABLE film_roll_length;
DROP TABLE film_sheet;
DROP TABLE film_sheet_break;
DROP TABLE film;
DROP TABLE vinyl;
DROP TABLE screen_break;
DROP TABLE screen_sheet;
DROP TABLE screen_list;
DROP TABLE film_printer;
DROP TABLE dye_printer;
DROP TABLE paper_printer;
DROP TABLE garment_printer;
DROP TABLE stitch_machine;
DROP TABLE paper;
DROP TABLE outside_break;
DROP TABLE outside_blank;
DROP TABLE outside_printer;
DROP TABLE pod_price;
DROP TABLE pod_service;
DROP TABLE cloth;
DROP TABLE calender;
DROP TABLE cutter;
DROP TABLE press_lower;
DROP TABLE press_map;
DROP TABLE press_dial;
DROP TABLE press_accessory;
DROP TABLE press;
DROP TABLE recipe_parameter;
DROP TABLE recipe;
DROP TABLE spot_test_wash;
DROP TABLE spot_test_photo;
DROP TABLE spot_test;
DROP TABLE test_garment;
DROP TABLE kept_print_lot;
DROP TABLE kept_print;
DROP TABLE remnant;
DROP TABLE upkeep_task;
DROP TABLE upkeep_done;
DROP TABLE upkeep;
DROP TABLE supplies_slot;
DROP TABLE supplies_takes;
DROP TABLE supplies_loading;
DROP TABLE supplies;

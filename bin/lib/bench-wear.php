<?php

declare(strict_types=1);

// What a forecast costs: part of bin/bench.

use App\Models\SpecSheet;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Wear\Forecaster;
use Ustrel\Core\Wear\Item;
use Ustrel\Core\Wear\PlanterWear;
use Ustrel\Core\Wear\Point;
use Ustrel\Core\Wear\ReadingError;

/** @return array{float, float} milliseconds to forecast all slots of a 48-row planter with four readings of each, and the megabytes that it takes */
function forecastOf48Rows(): array
{
    $sheet = SpecSheet::query()->whereNull('workshop_id')->where('type', 'vacuum')->firstOrFail()->read();
    $sheet = $sheet->for(Equipment::of(['drive' => 'ground', 'coulter' => true, 'fertilizer' => true], RowUnitType::Vacuum));
    $run = static function () use ($sheet): array {
        $forecasts = [];
        foreach (PlanterWear::checks($sheet) as $check) {
            $path = $check->wear() ?? throw new LogicException('A check that does not wear.');
            $items = [];
            for ($row = 1; $row <= 48; $row++) {
                foreach ($check->sides as $side) {
                    $points = array_map(static fn (int $season): Point => new Point("{$season}", 200_000.0 * $season, $path->allowance * (1 - 0.1 * $season - 0.001 * $row)), [1, 2, 3, 4]);
                    $items[] = Item::fitted("{$row}:{$side->value}", $path->allowance, $points, 800_000);
                }
            }
            $forecasts[] = (new Forecaster($path, ReadingError::of($check->key)))->of($items, 200_000);
        }

        return $forecasts;
    };
    $run();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $times = [];
    for ($round = 0; $round < 10; $round++) {
        $start = hrtime(true);
        $run();
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return [median($times), (memory_get_peak_usage() - $before) / 2 ** 20];
}

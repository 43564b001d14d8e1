<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\SpecSheetReader;

/** Brings the typical spec sheets that ship with core into the database, each validated first. */
final class LoadTypicalSheets
{
    /** @return int how many were loaded */
    public function __invoke(): int
    {
        return DB::transaction(static function (): int {
            foreach (RowUnitType::cases() as $type) {
                /** @var array<string, mixed> $sheet */
                $sheet = json_decode((string) file_get_contents(base_path("core/specs/{$type->value}.json")), true, 32, JSON_THROW_ON_ERROR);
                SpecSheetReader::read($sheet);
                SpecSheet::query()->updateOrCreate(
                    ['workshop_id' => null, 'type' => $type->value],
                    ['name' => $sheet['name'], 'sheet' => $sheet],
                );
            }

            self::completeOwnSheets();

            return count(RowUnitType::cases());
        });
    }

    /** A workshop's copy of an older typical sheet gets the checks that have come since; its own figures stay. */
    private static function completeOwnSheets(): void
    {
        $typical = SpecSheet::query()->whereNull('workshop_id')->get()->keyBy('type');
        foreach (SpecSheet::query()->where('workshop_id', '!=', null)->get() as $own) {
            $checks = $own->sheet['checks'] + ($typical->get($own->type)->sheet['checks'] ?? []);
            if (count($checks) > count($own->sheet['checks'])) {
                $own->update(['sheet' => ['checks' => $checks] + $own->sheet]);
            }
        }
    }
}

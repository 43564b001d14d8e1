<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use App\Record\Change;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\SpecSheetReader;

/**
 * Brings the typical spec sheets that ship with core into the database, each validated first. Planters whose sheet has changed
 * by it go by the new figures from now on.
 */
final readonly class LoadTypicalSheets
{
    public function __construct(private Change $change)
    {
    }

    /** @return int how many were loaded */
    public function __invoke(): int
    {
        $changed = DB::transaction(static fn (): array => [...self::load(), ...self::completeOwnSheets()]);
        foreach ($changed as $sheet) {
            foreach (SpecSheet::followers($sheet->id)->get() as $planter) {
                $this->change->of($planter, ReplaceSheet::follow(...));
            }
        }

        return count(RowUnitType::cases());
    }

    /** @return list<SpecSheet> those that were changed by it */
    private static function load(): array
    {
        $changed = [];
        foreach (RowUnitType::cases() as $type) {
            /** @var array<string, mixed> $sheet */
            $sheet = json_decode((string) file_get_contents(base_path("core/specs/{$type->value}.json")), true, 32, JSON_THROW_ON_ERROR);
            SpecSheetReader::read($sheet);
            $typical = SpecSheet::query()->firstOrNew(['workshop_id' => null, 'type' => $type->value]);
            // The database keeps the figures of a check in an order of its own.
            if ($typical->exists && $typical->sheet == $sheet && $typical->name === $sheet['name']) {
                continue;
            }
            $typical->fill(['name' => $sheet['name'], 'sheet' => $sheet])->save();
            $changed[] = $typical;
        }

        return $changed;
    }

    /**
     * A workshop's copy of an older typical sheet gets the checks that have come since; its own figures stay.
     *
     * @return list<SpecSheet> those that were changed by it
     */
    private static function completeOwnSheets(): array
    {
        $changed = [];
        $typical = SpecSheet::query()->whereNull('workshop_id')->get()->keyBy('type');
        foreach (SpecSheet::query()->where('workshop_id', '!=', null)->get() as $own) {
            $checks = $own->sheet['checks'] + ($typical->get($own->type)->sheet['checks'] ?? []);
            if (count($checks) > count($own->sheet['checks'])) {
                $own->update(['sheet' => ['checks' => $checks] + $own->sheet]);
                $changed[] = $own;
            }
        }

        return $changed;
    }
}

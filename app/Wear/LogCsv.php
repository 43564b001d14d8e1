<?php

declare(strict_types=1);

namespace App\Wear;

use App\Http\CsvSheet;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use Ustrel\Core\Field\Log\Product;

/** The planting log of one planter as a table, in the columns that an import reads. */
final class LogCsv
{
    public const COLUMNS = ['date', 'field', 'acres', 'pass', 'crop', 'speed', 'soil', 'residue', 'tillage', 'downforce', 'severity', 'shut_off', 'lot', 'population', 'products', 'left_out', 'map_acres', 'around', 'until', 'note'];

    public static function of(Planter $planter): string
    {
        return CsvSheet::of(self::COLUMNS, AcresEntry::current($planter->id)->orderBy('day')->orderBy('id')->with('seedLot:id,name')->lazy(500)->map(self::line(...)));
    }

    /** @return list<string|float|null> */
    private static function line(AcresEntry $of): array
    {
        return [
            $of->day->iso, $of->field, self::acres($of->acres), $of->pass->value, $of->crop, $of->mph, $of->soil?->value, $of->residue?->value, $of->tillage?->value, $of->downforce?->value, $of->own_severity ? $of->severity : null,
            implode(', ', array_keys(array_filter($of->shares, static fn (float|int $share): bool => (float) $share === 0.0))), $of->lotName(), $of->population()?->said(),
            implode('; ', array_map(static fn (Product $product): string => $product->said(), $of->goesOn())), implode('; ', $of->left_out), $of->map_acres === null ? null : self::acres($of->map_acres), $of->around, $of->until, $of->note,
        ];
    }

    /** Three places look like thousands to who reads the file; a fourth tells them apart. */
    private static function acres(string $acres): string
    {
        $plain = str_contains($acres, '.') ? rtrim(rtrim($acres, '0'), '.') : $acres;

        return preg_match('/\.\d{3}$/', $plain) === 1 ? "{$plain}0" : $plain;
    }
}

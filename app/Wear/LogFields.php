<?php

declare(strict_types=1);

namespace App\Wear;

use App\Bench\Seed\Lots;
use App\Models\Bench\SeedLot;
use App\Models\Planter;
use App\Record\Fields;
use App\Record\Refused;
use Ustrel\Core\Field\Log\Populations;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Field\Log\UnreadableLog;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Wear\Acres\AcresLine;
use Ustrel\Core\Wear\Acres\PassKind;

/** What is said of a field that was planted beside its acres and its ground: seed, products, what was made do with. */
final class LogFields
{
    private const LONGEST_NAME = 80;

    private const LONGEST_POPULATION = 200;

    private const LONGEST_AROUND = 200;

    private const LONGEST_NOTE = 300;

    private const MOST_PRODUCTS = 12;

    private const MOST_ACRES = 10_000;

    /**
     * @param  AcresLine|null  $told  the line as it was told, where it was
     * @return array<string, mixed> columns of the log; what nobody said is null, empty or false
     *
     * @throws Refused
     */
    public static function read(Fields $fields, ?AcresLine $told, Planter $planter, float $acres): array
    {
        $around = self::short($told->around ?? $fields->text('around', self::LONGEST_AROUND, 'acres.around'), self::LONGEST_AROUND, 'around', 'acres.around');
        $until = self::short($told->until ?? $fields->text('until', self::LONGEST_AROUND, 'acres.around'), self::LONGEST_AROUND, 'until', 'acres.around');
        $isOver = $fields->flag('around_over', 'refused.unknown_flag');
        if ($around === null && ($until !== null || $isOver)) {
            throw Refused::because('around', 'acres.around_missing');
        }

        $pass = $told->pass ?? $fields->oneOf('pass', PassKind::class, 'acres.pass') ?? PassKind::Planting;
        $name = self::short($told->lot ?? $fields->text('lot', self::LONGEST_NAME, 'acres.lot'), self::LONGEST_NAME, 'lot', 'acres.lot');
        $populations = self::populations($fields, $told, $planter->workshop->number_style);
        if ($pass === PassKind::Products && ($name !== null || $populations !== null)) {
            throw Refused::because($name === null ? 'population' : 'lot', 'acres.products_only');
        }
        $lot = self::lot($fields, $name, $planter);

        return [
            'pass' => $pass->value,
            'lot' => $name,
            'seed_lot_id' => $lot?->id,
            // By what a unit holds now: what was planted does not change when the lot is corrected later.
            'units_drawn' => $lot === null || $populations === null ? null : number_format($populations->seeds($acres) / $lot->seeds_per_unit, 3, '.', ''),
            'left_out' => json_encode(self::leftOut($fields, $told), JSON_THROW_ON_ERROR),
            'populations' => json_encode($populations->parts ?? [], JSON_THROW_ON_ERROR),
            'products' => json_encode(array_map(static fn (Product $of): array => ['name' => $of->name, 'rate' => $of->rate, 'unit' => $of->unit->value], self::products($fields, $told, $planter->workshop->number_style)), JSON_THROW_ON_ERROR),
            'map_acres' => self::mapAcres($fields),
            'around' => $around,
            'until' => $until,
            'around_over' => $isOver,
            'note' => $fields->text('note', self::LONGEST_NOTE, 'acres.note'),
        ];
    }

    /** By its id where a form knew it, else by its name. */
    private static function lot(Fields $fields, ?string $name, Planter $planter): ?SeedLot
    {
        $id = $fields->whole('seed_lot_id', 1, PHP_INT_MAX, 'seed.lot');
        if ($id === null && $name === null) {
            return null;
        }
        $lots = Lots::of($planter->workshop_id);

        return $id === null ? $lots->named($name) : ($lots->byId($id) ?? throw Refused::because('seed_lot_id', 'seed.lot'));
    }

    /** @return list<string> */
    private static function leftOut(Fields $fields, ?AcresLine $told): array
    {
        $names = $told->leftOut ?? array_map(static fn (mixed $one): string => is_string($one) ? trim($one) : throw Refused::because('left_out', 'acres.left_out'), $fields->list('left_out', 'acres.left_out'));
        foreach ($names as $name) {
            $name !== '' && mb_strlen($name) <= self::LONGEST_NAME || throw Refused::because('left_out', 'acres.left_out');
        }

        return count($names) > self::MOST_PRODUCTS ? throw Refused::because('left_out', 'acres.left_out') : $names;
    }

    private static function short(string $text, int $longest, string $field, string $otherwise): ?string
    {
        return mb_strlen($text) > $longest ? throw Refused::because($field, $otherwise) : ($text === '' ? null : $text);
    }

    private static function populations(Fields $fields, ?AcresLine $told, ?NumberStyle $style): ?Populations
    {
        $typed = $fields->text('population', self::LONGEST_POPULATION, 'acres.population', ['typed' => '']);
        try {
            return $told->populations ?? ($typed === '' ? null : Populations::read($typed, $style));
        } catch (UnreadableLog $unreadable) {
            throw Refused::line('population', 'acres', $unreadable);
        }
    }

    /** @return list<Product> */
    private static function products(Fields $fields, ?AcresLine $told, ?NumberStyle $style): array
    {
        $products = $told === null ? [] : $told->products;
        foreach ($products === [] ? $fields->list('products', 'acres.products') : [] as $one) {
            $typed = is_string($one) ? mb_substr($one, 0, 80) : '';
            try {
                $products[] = (is_string($one) ? Product::read($one, $style) : null) ?? throw Refused::because('products', 'acres.product', ['typed' => $typed]);
            } catch (UnreadableLog $unreadable) {
                throw Refused::line('products', 'acres', $unreadable);
            }
        }

        return count($products) > self::MOST_PRODUCTS ? throw Refused::because('products', 'acres.products') : $products;
    }

    private static function mapAcres(Fields $fields): ?string
    {
        $acres = $fields->number('map_acres', 'acres.map_acres');

        return $acres === null ? null : ($acres > 0 && $acres <= self::MOST_ACRES ? number_format($acres, 3, '.', '') : throw Refused::because('map_acres', 'acres.map_acres'));
    }
}

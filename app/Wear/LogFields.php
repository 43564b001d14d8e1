<?php

declare(strict_types=1);

namespace App\Wear;

use App\Record\Fields;
use App\Record\Refused;
use Ustrel\Core\Field\Log\Populations;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Field\Log\UnreadableLog;
use Ustrel\Core\Wear\Acres\AcresLine;

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
    public static function read(Fields $fields, ?AcresLine $told): array
    {
        $around = self::short($told->around ?? $fields->text('around', self::LONGEST_AROUND, 'acres.around'), self::LONGEST_AROUND, 'around', 'acres.around');
        $until = self::short($told->until ?? $fields->text('until', self::LONGEST_AROUND, 'acres.around'), self::LONGEST_AROUND, 'until', 'acres.around');
        $isOver = $fields->flag('around_over', 'refused.unknown_flag');
        if ($around === null && ($until !== null || $isOver)) {
            throw Refused::because('around', 'acres.around_missing');
        }

        return [
            'lot' => self::short($told->lot ?? $fields->text('lot', self::LONGEST_NAME, 'acres.lot'), self::LONGEST_NAME, 'lot', 'acres.lot'),
            'populations' => json_encode(self::populations($fields, $told)->parts ?? [], JSON_THROW_ON_ERROR),
            'products' => json_encode(array_map(static fn (Product $of): array => ['name' => $of->name, 'rate' => $of->rate, 'unit' => $of->unit->value], self::products($fields, $told)), JSON_THROW_ON_ERROR),
            'map_acres' => self::mapAcres($fields),
            'around' => $around,
            'until' => $until,
            'around_over' => $isOver,
            'note' => $fields->text('note', self::LONGEST_NOTE, 'acres.note'),
        ];
    }

    private static function short(string $text, int $longest, string $field, string $otherwise): ?string
    {
        return mb_strlen($text) > $longest ? throw Refused::because($field, $otherwise) : ($text === '' ? null : $text);
    }

    private static function populations(Fields $fields, ?AcresLine $told): ?Populations
    {
        $typed = $fields->text('population', self::LONGEST_POPULATION, 'acres.population', ['typed' => '']);
        try {
            return $told->populations ?? ($typed === '' ? null : Populations::read($typed));
        } catch (UnreadableLog $unreadable) {
            throw Refused::because('population', "acres.{$unreadable->fault}", ['typed' => mb_substr($unreadable->typed, 0, 80)]);
        }
    }

    /** @return list<Product> */
    private static function products(Fields $fields, ?AcresLine $told): array
    {
        $products = $told === null ? [] : $told->products;
        foreach ($products === [] ? $fields->list('products', 'acres.products') : [] as $one) {
            $typed = is_string($one) ? mb_substr($one, 0, 80) : '';
            try {
                $products[] = (is_string($one) ? Product::read($one) : null) ?? throw Refused::because('products', 'acres.product', ['typed' => $typed]);
            } catch (UnreadableLog $unreadable) {
                throw Refused::because('products', "acres.{$unreadable->fault}");
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

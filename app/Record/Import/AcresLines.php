<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Wear\AcresEvents;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\PassKind;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

/** A season's fields. */
final readonly class AcresLines implements Lines
{
    /** Follow from the shop's list of lots, which changes. */
    private const FOLLOWS = ['seed_lot_id' => 1, 'units_drawn' => 1];

    private const LATER = ['pass', 'left_out', 'lot', 'populations', 'products', 'map_acres', 'around', 'until', 'around_over', 'note'];

    private AcresEvents $events;

    public function __construct(
        Planter $planter,
        private LineIds $ids,
    ) {
        $this->events = new AcresEvents($planter);
    }

    public function read(LineFields $line): ReadLine
    {
        $item = array_filter([
            'id' => $this->ids->named('line'),
            'day' => $line->day('date') ?? $line->needed('date'),
            'field' => $line->needed('field'),
            'crop' => $line->text('crop'),
            'acres' => self::acres($line),
            'mph' => $line->number('speed'),
            'soil' => self::oneOf($line, 'soil', Soil::cases()),
            'residue' => self::oneOf($line, 'residue', Residue::cases()),
            'tillage' => self::oneOf($line, 'tillage', Tillage::cases()),
            'downforce' => self::oneOf($line, 'downforce', DownforceLevel::cases()),
            'severity' => $line->number('severity'),
            'shut_off' => self::shutOff($line),
            'pass' => self::oneOf($line, 'pass', PassKind::cases()),
            'lot' => $line->text('lot'),
            'population' => $line->text('population'),
            'products' => self::products($line),
            'left_out' => preg_split('/\s*;\s*/', (string) $line->text('left_out'), -1, PREG_SPLIT_NO_EMPTY) ?: null,
            'map_acres' => $line->number('map_acres'),
            'around' => $line->text('around'),
            'until' => $line->text('until'),
            'note' => $line->text('note'),
        ], static fn (mixed $value): bool => $value !== null);
        $fields = Fields::of($item, 'acres.line');
        // By what it says and not by how it is written: 62.5 and 62.50 are the same line.
        // What the log learned to say later does not count where it is not said.
        $said = array_filter($this->events->read($fields, Envelope::of($fields, Declared::by($this->events))), static fn (mixed $value, string $key): bool => ! in_array($key, self::LATER, true) || ! in_array($value, [null, '', '[]', false, PassKind::Planting->value], true), ARRAY_FILTER_USE_BOTH);
        [$id, $former] = $this->ids->of(json_encode(array_diff_key($said, self::FOLLOWS), JSON_THROW_ON_ERROR));

        return new ReadLine([['id' => $id] + $item], $former);
    }

    public function kind(string $into): Kind
    {
        return $this->events;
    }

    public function canBeImpossible(): bool
    {
        return false;
    }

    public function hold(): void
    {
        // Fields do not get into each other's way.
    }

    private static function acres(LineFields $line): float
    {
        $line->needed('acres');

        return round((float) $line->number('acres', ['ac' => 1.0, 'acre' => 1.0, 'acres' => 1.0, 'ha' => FurrowDistance::ACRES_PER_HECTARE, 'hectares' => FurrowDistance::ACRES_PER_HECTARE]), 3);
    }

    /** @param  list<Soil|Residue|Tillage|DownforceLevel|PassKind>  $cases */
    private static function oneOf(LineFields $line, string $field, array $cases): ?string
    {
        $text = $line->text($field);
        foreach ($cases as $case) {
            if ($text !== null && strtr(mb_strtolower($text), '- ', '__') === $case->value) {
                return $case->value;
            }
        }

        return $text === null ? null : throw RefusedLine::because('unknown_word', [
            'text' => $text, 'field' => __("import.field.{$field}"), 'known' => implode(', ', array_map(static fn (Soil|Residue|Tillage|DownforceLevel|PassKind $case): string => strtr($case->value, '_', ' '), $cases)),
        ]);
    }

    /** @return list<string>|null such as 8 gal/ac starter; 5 lb/ac zinc */
    private static function products(LineFields $line): ?array
    {
        return preg_split('/\s*;\s*/', (string) $line->text('products'), -1, PREG_SPLIT_NO_EMPTY) ?: null;
    }

    /** @return list<array{rows: list<int>, share: int}>|null such as 3-4, 7 */
    private static function shutOff(LineFields $line): ?array
    {
        $text = $line->text('shut_off');
        if ($text === null) {
            return null;
        }
        $rows = [];
        foreach (preg_split('/[\s,;+]+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            if (preg_match('/^(\d{1,2})(?:-(\d{1,2}))?$/', $part, $found) !== 1) {
                throw RefusedLine::because('no_rows', ['text' => $text]);
            }
            $rows = [...$rows, ...range((int) $found[1], (int) ($found[2] ?? $found[1]))];
        }

        return [['rows' => $rows, 'share' => 0]];
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Models\User;
use App\Record\RecordProjector;
use App\Wear\AcresInput;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Wear\Residue;
use Ustrel\Core\Wear\Soil;
use Ustrel\Core\Wear\Tillage;

/** A season's fields. */
final class AcresLines implements Lines
{
    private ?string $earliest = null;

    public function __construct(
        private readonly Planter $planter,
        private readonly User $by,
        private readonly RecordProjector $projector,
        private readonly LineIds $ids,
    ) {
    }

    public function read(LineFields $line): ReadLine
    {
        try {
            $input = AcresInput::from(array_filter([
                'day' => $line->day('date') ?? $line->needed('date'),
                'field' => $line->needed('field'),
                'crop' => $line->text('crop'),
                'acres' => self::acres($line),
                'mph' => $line->number('speed'),
                'soil' => self::oneOf($line, 'soil', Soil::cases()),
                'residue' => self::oneOf($line, 'residue', Residue::cases()),
                'tillage' => self::oneOf($line, 'tillage', Tillage::cases()),
                'severity' => $line->number('severity'),
                'shut_off' => self::shutOff($line),
            ], static fn (mixed $value): bool => $value !== null), $this->planter);
        } catch (ValidationException $refused) {
            throw new RefusedLine($refused->validator->errors()->first());
        }
        $row = $input->columns();

        return new ReadLine(['id' => $this->ids->of(json_encode($row, JSON_THROW_ON_ERROR)), 'planter_id' => $this->planter->id] + $row
            + ['recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'), 'user_id' => $this->by->id]);
    }

    public function keep(array $read): int
    {
        foreach ($read as $row) {
            $this->earliest = min($this->earliest ?? $row['day'], $row['day']);
        }

        return DB::table('acres_log')->insertOrIgnore(array_values($read));
    }

    public function finish(): array
    {
        if ($this->earliest !== null) {
            $this->projector->project($this->planter, CarbonImmutable::parse($this->earliest));
        }

        return [];
    }

    private static function acres(LineFields $line): float
    {
        $text = $line->needed('acres');
        if (preg_match('/^(.*\d)\s*(ha|ac|acres?)$/i', $text, $found) === 1) {
            $number = (float) (new LineFields(['acres' => $found[1]], 'auto'))->number('acres');

            return strtolower($found[2]) === 'ha' ? $number * FurrowDistance::ACRES_PER_HECTARE : $number;
        }

        return (float) $line->number('acres');
    }

    /** @param  list<Soil|Residue|Tillage>  $cases */
    private static function oneOf(LineFields $line, string $field, array $cases): ?string
    {
        $text = $line->text($field);
        foreach ($cases as $case) {
            if ($text !== null && strtr(mb_strtolower($text), '- ', '__') === $case->value) {
                return $case->value;
            }
        }

        return $text === null ? null : throw RefusedLine::because('unknown_word', [
            'text' => $text, 'field' => __("import.field.{$field}"), 'known' => implode(', ', array_map(static fn (Soil|Residue|Tillage $case): string => strtr($case->value, '_', ' '), $cases)),
        ]);
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

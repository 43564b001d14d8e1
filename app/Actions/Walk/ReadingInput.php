<?php

declare(strict_types=1);

namespace App\Actions\Walk;

use Carbon\CarbonImmutable;
use Carbon\Exceptions\InvalidFormatException;
use Illuminate\Support\Str;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableLength;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** One reading as a device sends it, checked against the walk's rows and spec sheet. */
final readonly class ReadingInput
{
    private const LONGEST_TYPED = 40;

    private function __construct(
        public string $id,
        public Place $place,
        public Result $result,
        public Entry $entry,
        /** Null unless measured; and for "same as last", which the record itself fills in. */
        public ?Length $value,
        public bool $confirmed,
        public CarbonImmutable $takenAt,
    ) {
    }

    /**
     * @param  mixed  $item  shape: the Reading schema of the OpenAPI document
     *
     * @throws RefusedReading
     */
    public static function from(mixed $item, SpecSheet $sheet, int $rowCount): self
    {
        if (! is_array($item)) {
            throw RefusedReading::because('not_a_reading');
        }
        $id = $item['id'] ?? null;
        if (! is_string($id) || ! Str::isUuid($id)) {
            throw RefusedReading::because('no_id');
        }
        $result = Result::tryFrom(self::text($item, 'result', Result::Measured->value))
            ?? throw RefusedReading::because('unknown_result');
        $entry = Entry::tryFrom(self::text($item, 'entry', Entry::Typed->value))
            ?? throw RefusedReading::because('unknown_entry');
        $measuredByHand = $result === Result::Measured && $entry === Entry::Typed;

        return new self(
            strtolower($id),
            self::place($item, $sheet, $rowCount),
            $result,
            $entry,
            $measuredByHand ? self::length($item) : null,
            ($item['confirmed'] ?? false) === true,
            self::takenAt($item),
        );
    }

    /** @param  array<mixed>  $item */
    private static function place(array $item, SpecSheet $sheet, int $rowCount): Place
    {
        $row = $item['row'] ?? null;
        if (! is_int($row) || $row < 1 || $row > $rowCount) {
            $given = is_scalar($row) ? (string) $row : '?';
            throw RefusedReading::because('no_such_row', ['row' => $given, 'rows' => $rowCount]);
        }
        $key = CheckKey::tryFrom(self::text($item, 'check'));
        $check = $key === null ? null : $sheet->check($key);
        if ($key === null || $check === null) {
            $name = $key === null ? '?' : __("check.{$key->value}");
            throw RefusedReading::because('no_such_check', ['row' => $row, 'check' => $name]);
        }
        $side = Side::tryFrom(self::text($item, 'side', Side::Centre->value));
        if ($side === null || ! $check->has($side)) {
            throw RefusedReading::because('no_such_side', ['row' => $row, 'check' => __("check.{$key->value}")]);
        }

        return new Place($row, $key, $side);
    }

    /** @param  array<mixed>  $item */
    private static function length(array $item): Length
    {
        $typed = self::text($item, 'typed');
        if (mb_strlen($typed) > self::LONGEST_TYPED) {
            throw RefusedReading::because('typed_too_long');
        }
        $system = UnitSystem::tryFrom(self::text($item, 'units', UnitSystem::Inch->value))
            ?? throw RefusedReading::because('unknown_units');

        try {
            return Length::read($typed, $system);
        } catch (UnreadableLength $unreadable) {
            throw RefusedReading::unreadable($unreadable);
        }
    }

    /** @param  array<mixed>  $item */
    private static function takenAt(array $item): CarbonImmutable
    {
        $given = self::text($item, 'taken_at');
        if (preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?(Z|[+-]\d\d:?\d\d)$/', $given) !== 1) {
            throw RefusedReading::because('no_time');
        }

        try {
            $takenAt = CarbonImmutable::parse($given)->utc()->startOfMillisecond();
        } catch (InvalidFormatException) {
            throw RefusedReading::because('no_time');
        }
        if ($takenAt->isAfter(CarbonImmutable::now()->addDay())) {
            throw RefusedReading::because('in_the_future', ['time' => $takenAt->toDateString()]);
        }

        return $takenAt;
    }

    /** @param  array<mixed>  $item */
    private static function text(array $item, string $key, string $default = ''): string
    {
        $value = $item[$key] ?? $default;

        return is_string($value) ? $value : '';
    }
}

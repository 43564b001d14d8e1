<?php

declare(strict_types=1);

namespace App\Record;

use Carbon\CarbonImmutable;
use Carbon\Exceptions\InvalidFormatException;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Walk\Place;

/** The fields of something that a device has recorded at a place, of whatever types they came. */
final readonly class Fields
{
    /** @param  array<mixed>  $fields */
    private function __construct(private array $fields)
    {
    }

    /** @throws RefusedReading with this code where it is not a list of fields at all */
    public static function of(mixed $item, string $otherwise): self
    {
        return is_array($item) ? new self($item) : throw RefusedReading::because($otherwise);
    }

    public function text(string $key, string $default = ''): string
    {
        $value = $this->fields[$key] ?? $default;

        return is_string($value) ? $value : '';
    }

    public function isTrue(string $key): bool
    {
        return ($this->fields[$key] ?? false) === true;
    }

    public function has(string $key): bool
    {
        return isset($this->fields[$key]);
    }

    /** @return list<mixed>|null null where it is not a list */
    public function list(string $key): ?array
    {
        $value = $this->fields[$key] ?? [];

        return is_array($value) ? array_values($value) : null;
    }

    /** @throws RefusedReading */
    public function place(SpecSheet $sheet, int $rowCount): Place
    {
        $key = CheckKey::tryFrom($this->text('check'));
        $check = $key === null ? null : $sheet->check($key);
        $row = $this->fields['row'] ?? null;
        if ($key === null || $check === null) {
            $name = $key === null ? '?' : __("check.{$key->value}");
            throw RefusedReading::because('no_such_check', ['row' => is_scalar($row) ? (string) $row : '?', 'check' => $name]);
        }
        $inRange = $check->isOfWholePlanter() ? $row === Place::WHOLE_PLANTER : is_int($row) && $row >= 1 && $row <= $rowCount;
        if (! is_int($row) || ! $inRange) {
            throw RefusedReading::because($check->isOfWholePlanter() ? 'whole_planter' : 'no_such_row', [
                'row' => is_scalar($row) ? (string) $row : '?', 'rows' => $rowCount, 'check' => __("check.{$key->value}"),
            ]);
        }
        $side = Side::tryFrom($this->text('side', Side::Centre->value));
        if ($side === null || ! $check->has($side)) {
            throw RefusedReading::because('no_such_side', ['row' => $row, 'check' => __("check.{$key->value}")]);
        }

        return new Place($row, $key, $side);
    }

    /** @throws RefusedReading */
    public function takenAt(): CarbonImmutable
    {
        $given = $this->text('taken_at');
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
}

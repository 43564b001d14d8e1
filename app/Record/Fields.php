<?php

declare(strict_types=1);

namespace App\Record;

use BackedEnum;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\Unreadable;
use Ustrel\Core\Measure\UnreadableTime;
use Ustrel\Core\Unit\Key;

/**
 * The fields of one thing that is said or done, read strictly: each is of the type that it is asked as, or refused by
 * name. A field that is null is as good as left out.
 */
final readonly class Fields
{
    /** 1 January 2000: before that no device kept a record. */
    private const EARLIEST = 946_684_800_000;

    /** @param  array<mixed>  $fields */
    private function __construct(private array $fields)
    {
    }

    /**
     * @param  string  $otherwise  wording where it is not a list of fields at all
     *
     * @throws Refused
     */
    public static function of(mixed $item, string $otherwise): self
    {
        return is_array($item) && ($item === [] || ! array_is_list($item))
            ? new self(array_filter($item, static fn (mixed $value): bool => $value !== null))
            : throw Refused::because('', $otherwise);
    }

    public function has(string $field): bool
    {
        return isset($this->fields[$field]);
    }

    /** @throws Refused */
    public function id(string $field = 'id', string $otherwise = 'refused.no_id'): string
    {
        return $this->idOr($field, $otherwise) ?? throw Refused::because($field, $otherwise);
    }

    /** @throws Refused where it is there and no UUID */
    public function idOr(string $field, string $otherwise = 'refused.no_id'): ?string
    {
        $value = $this->fields[$field] ?? null;
        if ($value === null) {
            return null;
        }

        return is_string($value) && strlen($value) === 36 && Str::isUuid($value) ? strtolower($value) : throw Refused::because($field, $otherwise);
    }

    /**
     * Without the white space around it.
     *
     * @param  int  $longest  letters
     * @param  array<string, string|int>  $with
     *
     * @throws Refused
     */
    public function text(string $field, int $longest, string $otherwise, array $with = []): string
    {
        $value = $this->fields[$field] ?? '';

        return is_string($value) && mb_strlen(trim($value)) <= $longest && ! HiddenMarks::in($value) ? trim($value) : throw Refused::because($field, $otherwise, $with);
    }

    /**
     * @param  array<string, string|int>  $with
     *
     * @throws Refused
     */
    public function whole(string $field, int $least, int $most, string $otherwise, array $with = []): ?int
    {
        $value = $this->fields[$field] ?? null;

        return $value === null || (is_int($value) && $value >= $least && $value <= $most) ? $value : throw Refused::because($field, $otherwise, $with);
    }

    /**
     * @param  array<string, string>  $with
     *
     * @throws Refused where it is no finite number
     */
    public function number(string $field, string $otherwise, array $with = []): ?float
    {
        $value = $this->fields[$field] ?? null;
        if ($value === null) {
            return null;
        }

        return (is_int($value) || is_float($value)) && is_finite((float) $value) ? (float) $value : throw Refused::because($field, $otherwise, $with);
    }

    /** @throws Refused */
    public function flag(string $field, string $otherwise): bool
    {
        $value = $this->fields[$field] ?? false;

        return is_bool($value) ? $value : throw Refused::because($field, $otherwise);
    }

    /**
     * @template T of BackedEnum|Key
     *
     * @param  class-string<T>  $enum
     * @return T|null
     *
     * @throws Refused
     */
    public function oneOf(string $field, string $enum, string $otherwise): BackedEnum|Key|null
    {
        $value = $this->fields[$field] ?? null;
        if ($value === null) {
            return null;
        }

        return (is_string($value) ? $enum::tryFrom($value) : null) ?? throw Refused::because($field, $otherwise);
    }

    /**
     * @param  array<string, string|int>  $with
     * @return list<mixed>
     *
     * @throws Refused
     */
    public function list(string $field, string $otherwise, array $with = []): array
    {
        $value = $this->fields[$field] ?? [];

        return is_array($value) && array_is_list($value) ? $value : throw Refused::because($field, $otherwise, $with);
    }

    /**
     * When something happened: not in the future, as far as a device's clock may be wrong, nor in the last century.
     *
     * @throws Refused
     */
    public function moment(string $field, string $otherwise, string $ahead): Moment
    {
        $value = $this->fields[$field] ?? null;
        try {
            $moment = Moment::of(is_string($value) ? $value : '');
        } catch (UnreadableTime) {
            throw Refused::because($field, $otherwise);
        }
        if ($moment->milliseconds < self::EARLIEST) {
            throw Refused::because($field, 'refused.long_ago', ['time' => substr($moment->toIso(), 0, 10)]);
        }
        if ($moment->milliseconds > CarbonImmutable::now()->addDay()->getTimestampMs()) {
            throw Refused::because($field, $ahead, ['time' => substr($moment->toIso(), 0, 10)]);
        }

        return $moment;
    }

    /** @throws Refused */
    public function day(string $field, string $otherwise): ?Day
    {
        $value = $this->fields[$field] ?? null;
        try {
            return $value === null ? null : Day::of(is_string($value) ? $value : '');
        } catch (UnreadableTime) {
            throw Refused::because($field, $otherwise, ['day' => is_string($value) ? mb_substr($value, 0, 40) : '']);
        }
    }

    /**
     * A figure as typed; null where nothing was.
     *
     * @throws Refused
     */
    public function quantity(string $field, Unit $unit, UnitSystem $system, string $otherwise): ?Quantity
    {
        $typed = $this->text($field, 40, $otherwise);
        try {
            return $typed === '' ? null : $unit->read($typed, $system);
        } catch (Unreadable $unreadable) {
            throw Refused::unreadable($field, $unreadable);
        }
    }

    /** What stands there, for a message; whatever it is. */
    public function said(string $field): string
    {
        $value = $this->fields[$field] ?? null;

        return is_int($value) || is_float($value) || is_string($value) ? mb_substr((string) $value, 0, 40) : '?';
    }

    /**
     * What makes two of them the same: every field in the order of its name, times and ids in one spelling.
     *
     * @param  list<string>  $apart  fields that are no part of what is said
     */
    public function sha256(array $apart): string
    {
        return hash('sha256', json_encode(self::canonical(array_diff_key($this->fields, array_flip($apart))), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    private static function canonical(mixed $value): mixed
    {
        if (is_array($value)) {
            if (! array_is_list($value)) {
                ksort($value, SORT_STRING);
                $value = array_filter($value, static fn (mixed $inner): bool => $inner !== null);
            }

            return array_map(self::canonical(...), $value);
        }
        if (! is_string($value)) {
            return $value;
        }
        try {
            return strlen($value) === 36 && Str::isUuid($value) ? strtolower($value) : Moment::of($value)->toIso();
        } catch (UnreadableTime) {
            return trim($value);
        }
    }
}

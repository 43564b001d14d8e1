<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Wear\AcresLine;
use Ustrel\Core\Wear\Ground;
use Ustrel\Core\Wear\Residue;
use Ustrel\Core\Wear\Soil;
use Ustrel\Core\Wear\Tillage;
use Ustrel\Core\Wear\UnreadableAcresLine;

/** One line of the acres log, checked against the planter. */
final readonly class AcresInput
{
    /** More than this no planter covers in a day. */
    private const MOST_ACRES = 10_000;

    private const LONGEST_NAME = 80;

    private const EARLIEST = '1950-01-01';

    /** @param  array<int, float>  $shares  by row number, the share of it that the row ran */
    private function __construct(
        public string $day,
        public string $field,
        public ?string $crop,
        public float $acres,
        public ?float $mph,
        public Ground $ground,
        public array $shares,
    ) {
    }

    /**
     * @param  array<string, mixed>  $given  shape: the AcresEntry schema of the OpenAPI document, each field of its own type
     *
     * @throws ValidationException
     */
    public static function from(array $given, Planter $planter): self
    {
        if (isset($given['line'])) {
            $given = self::told((string) $given['line']) + $given;
        }
        $own = $given['severity'] ?? null;
        self::must($own === null || ($own >= Ground::MILDEST && $own <= Ground::HARSHEST), 'severity', 'severity');
        $mph = $given['mph'] ?? null;
        self::must($mph === null || ($mph > 0 && $mph <= 30), 'mph', 'mph');
        $acres = (float) ($given['acres'] ?? 0);
        self::must($acres > 0 && $acres <= self::MOST_ACRES, 'acres', 'acres', ['acres' => self::plain($acres)]);
        $field = trim((string) ($given['field'] ?? ''));
        self::must($field !== '' && mb_strlen($field) <= self::LONGEST_NAME, 'field', 'field');
        $crop = trim((string) ($given['crop'] ?? ''));
        self::must(mb_strlen($crop) <= self::LONGEST_NAME, 'crop', 'crop');

        return new self(
            self::day((string) ($given['day'] ?? '')),
            $field,
            $crop === '' ? null : $crop,
            $acres,
            $mph,
            new Ground(
                Soil::tryFrom($given['soil'] ?? ''), Residue::tryFrom($given['residue'] ?? ''), Tillage::tryFrom($given['tillage'] ?? ''), $own,
            ),
            self::shares($given['shut_off'] ?? [], $planter),
        );
    }

    /** @return array<string, mixed> columns of the table acres_log */
    public function columns(): array
    {
        return [
            'day' => $this->day,
            'field' => $this->field,
            'crop' => $this->crop,
            'acres' => number_format($this->acres, 3, '.', ''),
            'mph' => $this->mph === null ? null : number_format($this->mph, 1, '.', ''),
            'soil' => $this->ground->soil?->value,
            'residue' => $this->ground->residue?->value,
            'tillage' => $this->ground->tillage?->value,
            'severity' => number_format($this->ground->severity(), 2, '.', ''),
            'own_severity' => $this->ground->own !== null,
            'shares' => json_encode((object) $this->shares, JSON_THROW_ON_ERROR),
        ];
    }

    /** @return array<string, mixed> */
    private static function told(string $line): array
    {
        try {
            $read = AcresLine::read($line);
        } catch (UnreadableAcresLine $unreadable) {
            throw ValidationException::withMessages(['line' => __("acres_line.{$unreadable->fault}", ['typed' => $unreadable->typed])]);
        }

        return array_filter([
            'acres' => $read->acres,
            'field' => $read->field,
            'crop' => $read->crop,
            'mph' => $read->mph,
            'day' => $read->day,
            'soil' => $read->ground->soil?->value,
            'residue' => $read->ground->residue?->value,
            'tillage' => $read->ground->tillage?->value,
        ], static fn (mixed $value): bool => $value !== null);
    }

    private static function day(string $day): string
    {
        $isDay = preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $day, $found) === 1 && checkdate((int) $found[2], (int) $found[3], (int) $found[1]);
        self::must($isDay && $day >= self::EARLIEST, 'day', 'day', ['day' => $day]);
        // A field east of here may already be in tomorrow.
        self::must($day <= CarbonImmutable::now()->addHours(14)->toDateString(), 'day', 'day_ahead', ['day' => $day]);

        return $day;
    }

    /** @return array<int, float> */
    private static function shares(mixed $given, Planter $planter): array
    {
        $shares = [];
        foreach (is_array($given) ? $given : [] as $part) {
            $ran = $part['share'] ?? 0;
            foreach ($part['rows'] ?? [] as $row) {
                self::must(is_int($row) && $row >= 1 && $row <= $planter->row_count, 'shut_off', 'shut_off_row', ['row' => $row, 'rows' => $planter->row_count]);
                self::must(is_numeric($ran) && $ran >= 0 && $ran < 1, 'shut_off', 'shut_off_share', ['row' => $row]);
                self::must(! isset($shares[$row]), 'shut_off', 'shut_off_twice', ['row' => $row]);
                $shares[$row] = round((float) $ran, 4);
            }
        }
        ksort($shares);

        return $shares;
    }

    /** @param  array<string, string|int|float>  $with */
    private static function must(bool $holds, string $field, string $code, array $with = []): void
    {
        if (! $holds) {
            throw ValidationException::withMessages([$field => __("acres.{$code}", $with)]);
        }
    }

    private static function plain(float $acres): string
    {
        return rtrim(rtrim(number_format($acres, 2, '.', ','), '0'), '.');
    }
}

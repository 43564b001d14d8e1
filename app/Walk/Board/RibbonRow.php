<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Walk\WalkRow;
use App\Wear\ExpectedRow;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;

/** One row of the ribbon: as a walk has it, or a row on which nothing was read yet. */
final readonly class RibbonRow
{
    public function __construct(
        public int $row,
        public Verdict $verdict = Verdict::Unchecked,
        /** 0 to 1; null where nothing that wears was read. */
        public ?float $lifeLeft = null,
        public int $checked = 0,
        /** What it is expected to be, while nobody has looked. */
        public ?Verdict $expected = null,
        /** It is up and does not plant. */
        public bool $isParked = false,
    ) {
    }

    /**
     * @param  iterable<WalkRow>  $read  that one walk has
     * @param  array<int, ExpectedRow>  $expected  by row; of those that are not yet looked at
     * @param  list<int>  $parked
     * @return list<self> one for each row of the planter
     */
    public static function all(int $rowCount, iterable $read, array $expected = [], array $parked = []): array
    {
        $lines = self::byRow($read);

        return array_map(static function (int $row) use ($lines, $expected, $parked): self {
            if (in_array($row, $parked, true)) {
                return new self($row, isParked: true);
            }
            $read = $lines[$row] ?? null;

            return $read === null || $read->verdict === Verdict::Unchecked ? self::expected($row, $expected[$row] ?? null) : $read;
        }, range(1, $rowCount));
    }

    private static function expected(int $row, ?ExpectedRow $expected): self
    {
        return new self($row, lifeLeft: $expected?->lifeLeft, expected: $expected?->verdict);
    }

    /** @param  iterable<WalkRow>  $read  that one walk has */
    public static function ofWholePlanter(iterable $read): self
    {
        return self::byRow($read)[Place::WHOLE_PLANTER] ?? new self(Place::WHOLE_PLANTER);
    }

    /**
     * @param  iterable<WalkRow>  $read
     * @return array<int, self>
     */
    private static function byRow(iterable $read): array
    {
        $lines = [];
        foreach ($read as $line) {
            $lines[$line->row_number] = new self($line->row_number, $line->verdict, $line->life_left, $line->checked);
        }

        return $lines;
    }

    public function toChange(): bool
    {
        return $this->verdict->severity() >= Verdict::Change->severity();
    }
}

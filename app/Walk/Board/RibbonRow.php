<?php

declare(strict_types=1);

namespace App\Walk\Board;

use stdClass;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Place;

/** One row of the ribbon. A row of the table walk_rows, or a row on which nothing was read yet. */
final readonly class RibbonRow
{
    public function __construct(
        public int $row,
        public Verdict $verdict = Verdict::Unchecked,
        /** 0 to 1; null where nothing that wears was read. */
        public ?float $lifeLeft = null,
        public int $checked = 0,
    ) {
    }

    /**
     * @param  iterable<stdClass>  $read  the rows of walk_rows that one walk has
     * @return list<self> one for each row of the planter
     */
    public static function all(int $rowCount, iterable $read): array
    {
        $lines = self::byRow($read);

        return array_map(static fn (int $row): self => $lines[$row] ?? new self($row), range(1, $rowCount));
    }

    /** @param  iterable<stdClass>  $read  the rows of walk_rows that one walk has */
    public static function ofWholePlanter(iterable $read): self
    {
        return self::byRow($read)[Place::WHOLE_PLANTER] ?? new self(Place::WHOLE_PLANTER);
    }

    /**
     * @param  iterable<stdClass>  $read
     * @return array<int, self>
     */
    private static function byRow(iterable $read): array
    {
        $lines = [];
        foreach ($read as $line) {
            // PostgreSQL's driver hands a float out as text.
            $life = $line->life_left === null ? null : (float) $line->life_left;
            $lines[$line->row_number] = new self($line->row_number, Verdict::from($line->verdict), $life, $line->checked);
        }

        return $lines;
    }

    public function toChange(): bool
    {
        return $this->verdict->severity() >= Verdict::Change->severity();
    }
}

<?php

declare(strict_types=1);

namespace App\Queries;

use stdClass;
use Ustrel\Core\Spec\Verdict;

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
        $ribbon = [];
        for ($row = 1; $row <= $rowCount; $row++) {
            $ribbon[$row] = new self($row);
        }
        foreach ($read as $line) {
            if ($line->row_number <= $rowCount) {
                // PostgreSQL's driver hands a float out as text.
                $life = $line->life_left === null ? null : (float) $line->life_left;
                $ribbon[$line->row_number] = new self($line->row_number, Verdict::from($line->verdict), $life, $line->checked);
            }
        }

        return array_values($ribbon);
    }

    public function toChange(): bool
    {
        return $this->verdict->severity() >= Verdict::Change->severity();
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

/** Where a reading is taken: a check on a row, on a side. */
final readonly class Place
{
    /** The row number of checks that belong to the planter as a whole. */
    public const WHOLE_PLANTER = 0;

    /** The same key as a column of the database, from row_number, check_key and side. */
    public const KEY_IN_SQL = "row_number || ':' || check_key || ':' || side";

    public function __construct(
        /** 1..N from the left as seen from behind; 0 for the planter as a whole. */
        public int $row,
        public CheckKey $check,
        public Side $side,
    ) {
    }

    /** The place in one word, as `6:opener_blade_diameter:left`. */
    public function key(): string
    {
        return "{$this->row}:{$this->check->value}:{$this->side->value}";
    }

    /** The place that a key names. */
    public static function fromKey(string $key): self
    {
        [$row, $check, $side] = explode(':', $key);

        return new self((int) $row, CheckKey::from($check), Side::from($side));
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** Rows that share a motor, tank, manifold, fan or section. */
final readonly class RowGroup
{
    /** @param  non-empty-list<int>  $rows  two or more, in order */
    private function __construct(
        public GroupKind $kind,
        public string $name,
        public array $rows,
    ) {
    }

    /**
     * @param  list<int>  $rows
     * @param  int  $of  rows of the planter
     *
     * @throws InvalidGroup
     */
    public static function of(GroupKind $kind, string $name, array $rows, int $of): self
    {
        $rows = array_values(array_unique($rows));
        sort($rows);
        if (count($rows) < 2) {
            throw InvalidGroup::few($name);
        }
        if ($rows[0] < 1 || end($rows) > $of) {
            throw InvalidGroup::row($name, $rows[0] < 1 ? $rows[0] : (int) end($rows), $of);
        }

        return new self($kind, $name, $rows);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/**
 * What dug furrows say of the closing pressure (domain, 8): left open wants more, smeared walls want less; open and smeared at once is
 * soil that is too wet, which no pressure cures.
 */
final readonly class ClosingPressure
{
    /** From this share of the rows on it is the planter; fewer are rows of their own, whose wheels are looked at first. */
    private const SHARED = 0.75;

    /** So few rows are no planter. */
    private const FEWEST = 3;

    /** @param  non-empty-list<int>  $rows */
    private function __construct(
        public ClosingMove $move,
        public array $rows,
        public bool $isShared,
    ) {
    }

    /**
     * @param  array<int, list<DigSign>>  $seen  in the furrow, by row; none says nothing of it
     * @return list<self> one for each move; none where all is well
     */
    public static function of(array $seen): array
    {
        $looked = array_filter($seen, static fn (array $signs): bool => $signs !== []);
        $rows = [];
        foreach ($looked as $row => $signs) {
            $move = self::move(in_array(DigSign::Open, $signs, true), in_array(DigSign::Smeared, $signs, true));
            if ($move !== null) {
                $rows[$move->value][] = $row;
            }
        }
        $told = [];
        foreach (ClosingMove::cases() as $move) {
            $of = $rows[$move->value] ?? [];
            if ($of !== []) {
                $told[] = new self($move, $of, count($looked) >= self::FEWEST && count($of) >= self::SHARED * count($looked));
            }
        }

        return $told;
    }

    private static function move(bool $isOpen, bool $isSmeared): ?ClosingMove
    {
        return match (true) {
            $isOpen && $isSmeared => ClosingMove::TooWet,
            $isOpen => ClosingMove::More,
            $isSmeared => ClosingMove::Less,
            default => null,
        };
    }
}

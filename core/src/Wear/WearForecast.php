<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** How long an item will last. Uses and distances in effective metres. */
final readonly class WearForecast
{
    /** @param  list<string>  $outliers  keys of the readings that do not fit the rest; they hardly weigh */
    private function __construct(
        public string $key,
        /** Room at the start; null where nothing was ever read of the item. */
        public ?float $start,
        /** Run by now. */
        public float $use,
        /** Readings that the forecast stands on, the start apart. */
        public int $readings,
        /** Null where nothing was ever read of the item. */
        public ?Belief $belief,
        /** There is little to go by but the nominal life. */
        public bool $isThin,
        /** Nine in ten last longer than this. Null where it is out of sight. */
        public ?float $left10,
        /** Half last longer than this. */
        public ?float $left50,
        /** One in ten lasts longer than this. */
        public ?float $left90,
        /** Of reaching the limit within the planned use; null without a plan. */
        public ?float $chance,
        /** A reading taken now with less room than this makes the chance greater than the shop's figure. */
        public ?float $watchUnder,
        public array $outliers,
        /** A reading that shows more room than there can be: the part may have been changed. It is asked about until a change is on record. */
        public ?string $grown,
        /** The check reads as if parts grew back, all in all: the tape reads long, or the figures are wrong. */
        public bool $growsBack,
    ) {
    }

    /** @param  list<string>  $outliers */
    public static function of(Item $item, Belief $belief, bool $isThin, ?float $chance, ?float $watchUnder, array $outliers, ?string $grown, bool $growsBack): self
    {
        return new self(
            $item->key, $item->start, $item->use, count($item->points), $belief, $isThin,
            $belief->leftAt(-Normal::P90), $belief->leftAt(0.0), $belief->leftAt(Normal::P90), $chance, $watchUnder, $outliers, $grown, $growsBack,
        );
    }

    /** Of an item of which nothing was ever read. */
    public static function unread(Item $item, ?float $watchUnder): self
    {
        return new self($item->key, null, $item->use, 0, null, true, null, null, null, null, $watchUnder, [], null, false);
    }
}

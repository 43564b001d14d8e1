<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** How long an item will last. Uses and distances in effective metres. */
final readonly class Forecast
{
    /** @param  list<string>  $outliers  keys of the readings that do not fit the rest; they hardly weigh */
    private function __construct(
        public string $key,
        /** Room at the start, millimetres; null where nothing was ever read of the item. */
        public ?float $start,
        /** Run by now. */
        public float $use,
        /** Readings that the forecast stands on, the start apart. */
        public int $readings,
        /** Null where the record is too thin; what is left then goes by the nominal life. */
        public ?Belief $belief,
        /** Nine in ten last longer than this. Null where it is out of sight, or the record too thin. */
        public ?float $left10,
        /** Half last longer than this; by the nominal life where the record is too thin. */
        public ?float $left50,
        /** One in ten lasts longer than this. */
        public ?float $left90,
        /** Of reaching the limit within the planned use; null without a plan or where the record is too thin. */
        public ?float $chance,
        /** A reading taken now with less room than this, millimetres, makes the chance greater than the shop's figure. */
        public ?float $watchUnder,
        public array $outliers,
    ) {
    }

    /** @param  list<string>  $outliers */
    public static function of(Item $item, Belief $belief, ?float $chance, ?float $watchUnder, array $outliers): self
    {
        $left = static fn (?float $use): ?float => $use === null ? null : max(0.0, $use - $item->use);

        return new self(
            $item->key, $item->start, $item->use, count($item->points), $belief,
            $left($belief->useAt(-Normal::P90)), $left($belief->useAt(0.0)), $left($belief->useAt(Normal::P90)),
            $chance, $watchUnder, $outliers,
        );
    }

    /** Nothing to go by but the nominal life: what is left of the allowance, at the nominal rate. */
    public static function thin(Item $item, WearPath $path, ?float $watchUnder = null): self
    {
        $room = $item->points === [] ? $item->start : $item->points[count($item->points) - 1]->room;
        $since = $item->points === [] ? $item->use : $item->use - $item->points[count($item->points) - 1]->use;
        $left = $room === null ? null : max(0.0, $room / $path->nominalRate() - $since);

        return new self($item->key, $item->start, $item->use, count($item->points), null, null, $left, null, null, $watchUnder, []);
    }

    public function isThin(): bool
    {
        return $this->belief === null;
    }
}

<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Field\DepthStrategy;

final readonly class DepthIndexView extends Schema
{
    public function __construct(
        /** What the shop does about it */
        public DepthStrategy $school,
        /** Notches that a row may be off */
        public float $tolerance,
        /** What one notch moves the gauge wheels by */
        public float $notch_mm,
        /** Notch; null before three quarters of the rows are measured */
        public ?float $median,
        /** Notches of depth between the deepest and the shallowest row with all set alike */
        public ?float $spread_before,
        /** The same once all is done as advised */
        public ?float $spread_after,
        /**
         * @var list<array{
         *     row: int,
         *     notch: float,
         *     offset: float, // Notches above the median
         *     move: float, // Notches, halves too, up where positive: how much higher than the rest it is set, or how far its stop is re-indexed
         * }>
         */
        public array $rows,
        /** @var list<int> Rows still to be measured: nothing is said of the rest before three quarters are */
        public array $missing,
        /**
         * The rows whose notch was read as it is set now
         *
         * @var list<array{
         *     row: int,
         *     notch: float,
         *     aim: float|null, // Where it belongs: the common notch with what the row carries; null while too few are set
         * }>
         */
        public array $set,
        /**
         * Where nobody measured where the wheels lift: rows that have to be set otherwise because of their blades alone
         *
         * @var list<array{
         *     row: int,
         *     move: float, // Notches, higher where positive
         * }>
         */
        public array $blades,
    ) {
    }
}

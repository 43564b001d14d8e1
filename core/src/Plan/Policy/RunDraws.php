<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** What one run has in store, whatever the policy: how each part is and wears, which parts come next, how measurements are off. */
final readonly class RunDraws
{
    /** Nothing wears slower than this share of what is usual. */
    private const LEAST_RATE = 1e-4;

    /** @var list<float> room of each part now */
    public array $rooms;

    /** @var list<float> rate of each part now */
    public array $rates;

    /** @var list<float> average rate of each kind, as it turns out in this run */
    private array $kindRates;

    /** @var list<int> cases of the bits in which a new part of each kind would grow back */
    private array $under;

    /** @var list<float> */
    private array $quantiles;

    /** Where the bits of the first item begin. */
    private int $first;

    /** Parts that one place can get before they come round again. */
    private int $most;

    /** @param  array<int, int>  $bits  from 1 on */
    public function __construct(
        private PolicySimulation $play,
        private array $bits,
        private int $perItem,
    ) {
        $this->quantiles = Draws::quantiles();
        $this->first = 1 + count($play->kinds);
        $this->most = $play->partsDrawn();
        $under = [];
        $shared = $kindRates = $rooms = $rates = [];
        foreach ($play->kinds as $index => $kind) {
            $shared[] = $deviate = $this->over($bits[1 + $index], $kind->rateSd > 0 ? $kind->rate / $kind->rateSd : INF);
            $kindRates[] = $rate = max(self::LEAST_RATE * $kind->rate, $kind->rate + $kind->rateSd * $deviate);
            $under[] = Draws::casesUnder($kind->scatter > 0 ? $rate / $kind->scatter : INF);
        }
        foreach ($play->items as $index => $item) {
            $at = $this->first + $index * $perItem;
            $mean = $item->rate + $item->sharedRate * $shared[$item->kind];
            $deviate = $this->over($bits[$at], $item->rateSd > 0 ? $mean / $item->rateSd : INF);
            $rates[] = max(self::LEAST_RATE * $play->kinds[$item->kind]->rate, $mean + $item->rateSd * $deviate);
            $rooms[] = $item->room + $item->sharedRoom * $shared[$item->kind]
                + $item->roomSd * ($item->correlation * $deviate + sqrt(max(0.0, 1 - $item->correlation ** 2)) * $this->quantiles[$bits[$at + 1]]);
        }
        $this->kindRates = $kindRates;
        $this->under = $under;
        $this->rooms = $rooms;
        $this->rates = $rates;
    }

    /**
     * The part that goes in next at a place.
     *
     * @param  int  $generation  1 for the first that goes in
     * @return array{float, float} its room and its rate
     */
    public function part(int $item, int $generation): array
    {
        $of = $this->play->items[$item]->kind;
        $kind = $this->play->kinds[$of];
        $at = $this->first + $item * $this->perItem + 2 * (1 + ($generation - 1) % $this->most);
        $under = $this->under[$of];
        $bits = $under === 0 ? $this->bits[$at] : self::above($this->bits[$at], $under);
        $rate = $this->kindRates[$of] + $kind->scatter * $this->quantiles[$bits];
        $least = self::LEAST_RATE * $kind->rate;

        return [$kind->allowance + $kind->newSd * $this->quantiles[$this->bits[$at + 1]], $rate > $least ? $rate : $least];
    }

    /** By how many standard deviations a look at a part is off. */
    public function off(int $item, int $look): float
    {
        return $this->quantiles[$this->bits[$this->first + $item * $this->perItem + 2 * (1 + $this->most) + $look]];
    }

    /** A deviate given that the value itself is over 0. */
    private function over(int $bits, float $meanOverSd): float
    {
        return $this->quantiles[self::above($bits, Draws::casesUnder($meanOverSd))];
    }

    /** The cases from one on, each as likely as any. */
    private static function above(int $bits, int $under): int
    {
        return $under === 0 ? $bits : $under + (($bits * (Draws::CASES - $under)) >> 16);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

/** How many of several parts were seen running just before a distance. To be asked of ascending distances. */
final class SeenRunning
{
    /** @var list<float> ascending */
    private array $from;

    /** @var list<float> ascending */
    private array $to;

    private int $begun = 0;

    private int $gone = 0;

    /** @param  list<Life>  $lives */
    public function __construct(array $lives)
    {
        $this->from = array_map(static fn (Life $life): float => $life->since, $lives);
        $this->to = array_map(static fn (Life $life): float => $life->ran, $lives);
        sort($this->from);
        sort($this->to);
    }

    public function at(float $ran): int
    {
        while (($this->from[$this->begun] ?? INF) < $ran) {
            $this->begun++;
        }
        while (($this->to[$this->gone] ?? INF) < $ran) {
            $this->gone++;
        }

        return $this->begun - $this->gone;
    }
}

<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Walk;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\PlanterWear;

/** How much of a walk is drawn up again. */
final class WalkScope
{
    public bool $whole = false;

    /** Only its rows are counted again. */
    public bool $counts = false;

    /** What was fitted or set anew since is told again. */
    public bool $renews = false;

    /** @var array<string, true> keys of checks whose outlooks are reckoned again, on all rows */
    public array $reckoned = [];

    /** @var array<string, Place> places that were read, by place key */
    public array $read = [];

    public function __construct(public readonly Walk $walk)
    {
    }

    /** @param  list<string>  $checks  keys; those that do not wear on this walk's sheet are passed over */
    public function reckon(array $checks): void
    {
        if ($checks !== []) {
            $this->reckoned += array_fill_keys(PlanterWear::keys(PlanterWear::checks($this->walk->readSheet(), $checks)), true);
        }
    }

    /** @param  array<string, Place>  $places */
    public function read(array $places): void
    {
        $this->read = $places;
    }

    public function isTouched(): bool
    {
        return $this->whole || $this->counts || $this->renews || $this->reckoned !== [] || $this->read !== [];
    }
}

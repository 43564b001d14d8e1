<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Work\Target;

/** One thing to be done at one place. */
final readonly class Job
{
    private function __construct(
        public Action $action,
        /** A slot where a part is changed, a check else. */
        public Slot|CheckKey $what,
        /** 0 for the planter as a whole. */
        public int $row,
        public Side $side,
    ) {
    }

    public static function change(SlotPlace $at): self
    {
        return new self(Action::Change, $at->slot, $at->row, $at->side);
    }

    public static function at(Action $action, Place $at): self
    {
        return new self($action, $at->check, $at->row, $at->side);
    }

    /** The job in one word: two with the same are one. */
    public function key(): string
    {
        return Target::job($this->action, $this->row, $this->what->value, $this->side)->key();
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Plan\Action;
use Ustrel\Core\Spec\Side;

/**
 * What a line of a card is about: something that comes off, a job, the shop's own work, or a lubrication point. Written as
 * `off:3:gauge_wheel:left`, `change:3:opener_blade:left`, `own:3:<id>:centre`, `grease:0:hitch:centre`.
 */
final readonly class Target
{
    private const OFF = 'off';

    private const OWN = 'own';

    private const GREASE = 'grease';

    /** The step that makes the planter safe. */
    private const LOCK = 'lock';

    /**
     * @param  value-of<Action>|self::OFF|self::OWN|self::GREASE  $action
     * @param  int  $row  0 for the planter as a whole
     */
    private function __construct(
        public string $action,
        public int $row,
        public string $what,
        public Side $side,
    ) {
    }

    /** @param  string  $step  that comes off */
    public static function off(int $row, string $step, Side $side): self
    {
        return new self(self::OFF, $row, $step, $side);
    }

    public static function lock(int $row): self
    {
        return self::off($row, self::LOCK, Side::Centre);
    }

    /** @param  string  $what  a slot where a part is changed, a check else */
    public static function job(Action $action, int $row, string $what, Side $side): self
    {
        return new self($action->value, $row, $what, $side);
    }

    /** @param  string  $id  of the work that the shop added */
    public static function own(int $row, string $id): self
    {
        return new self(self::OWN, $row, $id, Side::Centre);
    }

    public static function lubrication(string $point): self
    {
        return new self(self::GREASE, 0, $point, Side::Centre);
    }

    /** @return self|null null where it is no such key */
    public static function tryFrom(string $key): ?self
    {
        if (preg_match('/^(\w+):(\d{1,3}):([\w-]+):(left|right|centre)$/D', $key, $parts) !== 1) {
            return null;
        }
        $action = in_array($parts[1], [self::OFF, self::OWN, self::GREASE], true) ? $parts[1] : Action::tryFrom($parts[1])?->value;

        return $action !== null ? new self($action, (int) $parts[2], $parts[3], Side::from($parts[4])) : null;
    }

    public function key(): string
    {
        return "{$this->action}:{$this->row}:{$this->what}:{$this->side->value}";
    }

    /** What kind of work it is, on whichever row and side: `change:opener_blade`. */
    public function kind(): string
    {
        return "{$this->action}:{$this->what}";
    }

    public function isOff(): bool
    {
        return $this->action === self::OFF;
    }

    public function isOwn(): bool
    {
        return $this->action === self::OWN;
    }

    public function isLubrication(): bool
    {
        return $this->action === self::GREASE;
    }

    /** Whether it is that the planter was made safe: nothing else begins before it. */
    public function isLock(): bool
    {
        return $this->isOff() && $this->what === self::LOCK;
    }
}

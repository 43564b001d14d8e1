<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Parts\Slot;

/** When a shop changes what wears. Worded under `school.<value>`. */
enum Strategy: string
{
    /** Only what is past its limit. */
    case Limit = 'limit';
    /** All rows together, with what wears with them, once the set would not see the season through. */
    case Set = 'set';
    /** Every spring, whatever it measures: abrasive no-till. */
    case EverySpring = 'every_spring';
    /** Once a share of the allowance is gone, up to two sets a season. */
    case LikeNew = 'like_new';
    /** The shop's own. */
    case Own = 'own';

    /** Of the allowance gone, where nothing else is said. */
    public const LIKE_NEW_SHARE = 0.4;

    /**
     * What it says of a slot that it has an opinion of; the rest goes by its limit.
     *
     * @return array<string, SlotRule> by slot
     */
    public function rules(): array
    {
        return match ($this) {
            self::Limit, self::Own => [],
            self::Set => [
                'opener_blade' => new SlotRule(ChangeWhen::WouldNotLast, scope: Scope::Set, with: [Slot::from('seed_tube_guard')]),
                'coulter_blade' => new SlotRule(ChangeWhen::WouldNotLast, scope: Scope::Set),
                'fertilizer_blade' => new SlotRule(ChangeWhen::WouldNotLast, scope: Scope::Set),
            ],
            self::EverySpring => [
                'opener_blade' => new SlotRule(ChangeWhen::Always, scope: Scope::Set, with: [Slot::from('seed_tube_guard')]),
            ],
            self::LikeNew => [
                'opener_blade' => new SlotRule(ChangeWhen::ShareGone, self::LIKE_NEW_SHARE, looks: 2),
                'coulter_blade' => new SlotRule(ChangeWhen::ShareGone, self::LIKE_NEW_SHARE),
                'fertilizer_blade' => new SlotRule(ChangeWhen::ShareGone, self::LIKE_NEW_SHARE),
            ],
        };
    }
}

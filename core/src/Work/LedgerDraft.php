<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\Side;

/** An entry of the ledger that a finished job asks for: the part that went in, or the shims that were moved. */
final readonly class LedgerDraft
{
    private function __construct(
        public LedgerEventKind $kind,
        public Side $side,
        public ?Slot $slot,
        /** Added on each side of what is meant; negative where taken out; null where the one who did it has to say. */
        public ?int $pairs,
    ) {
    }

    /**
     * @param  Proposal|null  $asked  what was decided at the place of the job; null where a part is changed
     * @return list<self>
     */
    public static function of(Job $job, ?Proposal $asked): array
    {
        if ($job->action === Action::Change && $job->what instanceof Slot) {
            return [new self(LedgerEventKind::Fitted, $job->side, $job->what, null)];
        }
        $by = $asked?->by === null ? 1 : (int) round($asked->by->unit()->valueOf($asked->by));

        return match ($asked?->why) {
            Why::ShimsIn, Why::ShimsNotEnough => [self::shims(Side::Centre, $by)],
            Why::ShimsOut, Why::ShimOutAndMeasure => [self::shims(Side::Centre, -$by)],
            // To level packs is another number on each side.
            Why::LevelPacks, Why::LevelPacksAndMeasure => [self::shims(Side::Left, null), self::shims(Side::Right, null)],
            default => [],
        };
    }

    private static function shims(Side $side, ?int $pairs): self
    {
        return new self(LedgerEventKind::ShimsMoved, $side, null, $pairs);
    }
}

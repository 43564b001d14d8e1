<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\OwnJob;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Refused;
use App\Record\Touched;

/** Work that the shop adds to one planter. */
final readonly class OwnJobs implements Kind
{
    private const MOST_MINUTES = 6000;

    private const LONGEST = 120;

    public function __construct(private Planter $planter)
    {
    }

    public function model(): string
    {
        return OwnJob::class;
    }

    public function canSupersede(): bool
    {
        return true;
    }

    public function takesBack(array $row): bool
    {
        return $row['withdrawn'];
    }

    public function wording(): KindWording
    {
        return new KindWording('own_job.item', 'own_job.gone');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $withdrawn = $fields->flag('withdrawn', 'refused.unknown_flag');
        if ($withdrawn && $envelope->supersedes === null) {
            throw Refused::because('supersedes', 'own_job.gone');
        }
        $title = trim($fields->text('title', self::LONGEST, 'own_job.title'));

        return [
            'row_number' => $fields->whole('row', 0, $this->planter->row_count, 'own_job.row') ?? throw Refused::because('row', 'own_job.row'),
            'title' => $title !== '' ? $title : throw Refused::because('title', 'own_job.title'),
            'minutes' => $fields->whole('minutes', 1, self::MOST_MINUTES, 'own_job.minutes') ?? throw Refused::because('minutes', 'own_job.minutes'),
            'blocks' => $fields->flag('blocks', 'refused.unknown_flag'),
            'happened_at' => $fields->moment('happened_at', 'hands.when', 'hands.when')->toIso(),
            'withdrawn' => $withdrawn,
        ];
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        // It is read when the plan is asked for.
    }
}

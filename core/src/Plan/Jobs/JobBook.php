<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\Condition;

/**
 * How long jobs take: each needs steps of access, and a step counts once for its row and side, however many jobs need it.
 *
 * Typical minutes stand in core/jobs; what a shop's own finished jobs tell goes before them.
 */
final class JobBook
{
    /** No single job or step takes longer, minutes. */
    private const MOST = 600;

    /**
     * @param  array<array-key, AccessStep>  $steps  by name
     * @param  array<array-key, array<array-key, array{float, list<string>, Kit}>>  $jobs  minutes, steps and what is brought along, by action and by slot or check
     */
    private function __construct(
        private array $steps,
        private array $jobs,
        private ?JobTimes $times = null,
    ) {
    }

    /** The same, with the minutes as a shop's own finished work tells them. */
    public function learned(JobTimes $times): self
    {
        $steps = array_map(static fn (AccessStep $step): AccessStep => new AccessStep($step->name, $step->per, $step->minutes * $times->pace, $step->needs, $step->with), $this->steps);

        return new self($steps, $this->jobs, $times);
    }

    /** The same for a planter that carries this: nothing comes off that is not there. */
    public function on(RowUnits $units): self
    {
        $steps = array_filter($this->steps, static fn (AccessStep $step): bool => $units->some($step->with));
        $names = array_column($steps, 'name');

        return new self(
            array_map(static fn (AccessStep $step): AccessStep => new AccessStep($step->name, $step->per, $step->minutes, self::there($step->needs, $names)), $steps),
            array_map(static fn (array $jobs): array => array_map(static fn (array $job): array => [$job[0], self::there($job[1], $names), $job[2]], $jobs), $this->jobs),
            $this->times,
        );
    }

    /**
     * @param  list<string>  $needed
     * @param  array<string>  $names  steps that there are
     * @return list<string>
     */
    private static function there(array $needed, array $names): array
    {
        return array_values(array_filter($needed, static fn (string $step): bool => in_array($step, $names, true)));
    }

    public static function typical(): self
    {
        /** @var self|null $typical */
        static $typical = null;

        return $typical ??= self::read(
            (array) json_decode((string) file_get_contents(__DIR__.'/../../../jobs/access.json'), true, flags: JSON_THROW_ON_ERROR),
            (array) json_decode((string) file_get_contents(__DIR__.'/../../../jobs/jobs.json'), true, flags: JSON_THROW_ON_ERROR),
        );
    }

    /**
     * @param  array<mixed>  $access  shape: core/jobs/access.json
     * @param  array<mixed>  $jobs  shape: core/jobs/jobs.json
     *
     * @throws InvalidJobBook
     */
    public static function read(array $access, array $jobs): self
    {
        /** @var array<array-key, list<string>> $needs */
        $needs = [];
        /** @var array<array-key, array{float, Span, Condition}> $steps */
        $steps = [];
        foreach ($access as $name => $step) {
            [$minutes, $needs[$name]] = self::entry((string) $name, $step);
            $span = is_array($step) && is_string($step['per'] ?? null) ? Span::tryFrom($step['per']) : null;
            $with = Condition::read((string) $name, is_array($step) ? $step['with'] ?? [] : [], Catalogue::shipped()->assemblies);
            $steps[$name] = [$minutes, $span ?? throw InvalidJobBook::shape((string) $name), $with];
        }
        /** @var array<array-key, AccessStep> $built */
        $built = [];
        foreach ($steps as $name => [$minutes, $span, $with]) {
            $built[$name] = new AccessStep((string) $name, $span, $minutes, array_slice(self::all((string) $name, $needs, []), 1), $with);
        }
        /** @var array<array-key, array<array-key, array{float, list<string>, Kit}>> $entries */
        $entries = [];
        foreach ($jobs as $action => $of) {
            foreach (is_array($of) ? $of : throw InvalidJobBook::shape((string) $action) as $what => $job) {
                [$minutes, $direct] = self::entry("{$action} {$what}", $job);
                $all = [];
                foreach ($direct as $step) {
                    isset($built[$step]) || throw InvalidJobBook::missing("{$action} {$what}", $step);
                    array_push($all, $step, ...$built[$step]->needs);
                }
                $entries[$action][$what] = [$minutes, array_values(array_unique($all)), Kit::read("{$action} {$what}", (array) $job)];
            }
        }

        return new self($built, $entries);
    }

    /**
     * @param  array<array-key, list<string>>  $needs
     * @param  list<string>  $above
     * @return non-empty-list<string> the step and all that it needs
     */
    private static function all(string $name, array $needs, array $above): array
    {
        if (in_array($name, $above, true)) {
            throw InvalidJobBook::circle(array_slice($above, (int) array_search($name, $above, true)));
        }
        $all = [$name];
        foreach ($needs[$name] ?? throw InvalidJobBook::missing($above === [] ? $name : $above[count($above) - 1], $name) as $next) {
            array_push($all, ...self::all($next, $needs, [...$above, $name]));
        }

        return array_values(array_unique($all));
    }

    /** @return array{float, list<string>} */
    private static function entry(string $of, mixed $entry): array
    {
        $isEntry = is_array($entry) && isset($entry['minutes']) && is_array($entry['needs'] ?? null) && array_is_list($entry['needs']);
        if (! $isEntry || array_filter($entry['needs'], is_string(...)) !== $entry['needs']) {
            throw InvalidJobBook::shape($of);
        }
        $minutes = $entry['minutes'];

        return (is_int($minutes) || is_float($minutes)) && $minutes >= 0 && $minutes <= self::MOST ? [(float) $minutes, $entry['needs']] : throw InvalidJobBook::minutes($of);
    }

    /**
     * Minutes that all of them take together; a job that is named twice is done once.
     *
     * @param  list<Job>  $jobs
     */
    public function minutes(array $jobs): float
    {
        return $this->sum($jobs, true);
    }

    /**
     * The same without what makes the planter safe, which all of a day's jobs share.
     *
     * @param  list<Job>  $jobs
     */
    public function minutesOnRows(array $jobs): float
    {
        return $this->sum($jobs, false);
    }

    /** What makes the planter safe, once. */
    public function minutesOnPlanter(): float
    {
        $minutes = 0.0;
        foreach ($this->steps as $step) {
            $minutes += $step->per === Span::Planter ? $step->minutes : 0.0;
        }

        return $minutes;
    }

    /** Minutes of a job by itself, without what has to come off for it. */
    public function own(Job $job): float
    {
        return $this->entryOf($job)[0] * ($this->times?->factor($job) ?? 1.0);
    }

    /** @return array<string, float> minutes of each thing that comes off on its row and side, and goes on again, by what and where that is */
    public function access(Job $job): array
    {
        return $this->stepsOf($job, false);
    }

    /**
     * What comes off for jobs on one row, in the order in which it does: what others need first. It goes on again the other way round.
     *
     * @param  list<Job>  $jobs
     * @return list<array{AccessStep, Side}> a step of both sides once for each
     */
    public function steps(array $jobs): array
    {
        $steps = [];
        foreach ($jobs as $job) {
            foreach ($this->entryOf($job)[1] as $name) {
                $step = $this->steps[$name];
                foreach ($step->per->places($job->row, $job->side) as $place) {
                    $steps["{$name} {$place}"] = [$step, $step->per === Span::Planter ? Side::Centre : Side::tryFrom(explode(' ', $place)[1] ?? '') ?? Side::Centre];
                }
            }
        }
        $order = array_flip(array_map(static fn (Side $side): string => $side->value, Side::cases()));
        usort($steps, static fn (array $one, array $other): int => [$one[0]->per !== Span::Planter, $order[$one[1]->value], count($one[0]->needs)] <=> [$other[0]->per !== Span::Planter, $order[$other[1]->value], count($other[0]->needs)]);

        return $steps;
    }

    /** Whether the planter has to be made safe for it. */
    public function needsSafety(Job $job): bool
    {
        return $this->stepsOf($job, true) !== $this->stepsOf($job, false);
    }

    /** @param  list<Job>  $jobs */
    private function sum(array $jobs, bool $ofPlanter): float
    {
        $minutes = $done = [];
        foreach ($jobs as $job) {
            $done[$job->key()] = $this->own($job);
            $minutes += $this->stepsOf($job, $ofPlanter);
        }

        return array_sum($done) + array_sum($minutes);
    }

    /** @return array<string, float> */
    private function stepsOf(Job $job, bool $ofPlanter): array
    {
        $minutes = [];
        foreach ($this->entryOf($job)[1] as $name) {
            $step = $this->steps[$name];
            foreach ($ofPlanter || $step->per !== Span::Planter ? $step->per->places($job->row, $job->side) : [] as $place) {
                $minutes["{$name} {$place}"] = $step->minutes;
            }
        }

        return $minutes;
    }

    /** What is brought along for a job, and what is looked at again afterwards. */
    public function kit(Job $job): Kit
    {
        return $this->entryOf($job)[2];
    }

    /** @return array{float, list<string>, Kit} */
    private function entryOf(Job $job): array
    {
        $of = $this->jobs[$job->action->value] ?? [];

        return $of[$job->what->value] ?? $of['*'] ?? [0.0, [], new Kit()];
    }
}

<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\WalkKind;

final readonly class PackEdit extends Input
{
    public function __construct(
        #[Field('pack.name', 'max:60')] public string $name,
        /** Of the walk that it proposes */
        #[Field('pack.kind')] public WalkKind $kind,
        /** @var list<CheckKey> */
        #[Field('pack.no_checks', 'min:1', 'max:300')] public array $checks,
        /** That was changed: with another one meanwhile nothing is overwritten */
        #[Field('', 'max:40')] public ?string $version = null,
    ) {
    }

    /** @return array{checks: list<CheckKey>} each check once, in the order in which they are walked */
    public function columns(): array
    {
        return ['checks' => array_values(array_filter(CheckKey::cases(), fn (CheckKey $key): bool => in_array($key, $this->checks, true)))] + parent::columns();
    }

    protected static function messages(string $at = ''): array
    {
        return ["{$at}checks.*.*" => __('pack.unknown_check')] + parent::messages($at);
    }
}

<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use Ustrel\Core\Spec\CheckKey;

/** What is said of a manual: its name, and where in it each check is described. */
final readonly class ManualEdit extends Input
{
    private const MOST_PAGES = 5_000;

    public function __construct(
        #[Field('manual.name', 'min:1', 'max:80')] public string $name,
        /** @var array<string, int> Page of the file, from 1, by check */
        #[Field('manual.pages')] public array $pages = [],
        /** That was changed */
        public int $revision = 0,
    ) {
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        $isPage = static fn (mixed $page): bool => is_int($page) && $page >= 1 && $page <= self::MOST_PAGES;
        $isCheck = static fn (string|int $check): bool => CheckKey::tryFrom((string) $check) !== null;
        if (array_filter($input->pages, $isPage) !== $input->pages || array_filter(array_keys($input->pages), $isCheck) !== array_keys($input->pages)) {
            $checked->errors()->add('pages', __('manual.pages'));
        }
    }
}

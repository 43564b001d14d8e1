<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Translation\FileLoader;

/** Loads wording from lang/LOCALE/WORD.json, one file a word of the job. */
final class WordLoader extends FileLoader
{
    /**
     * @param  string  $locale
     * @return array<string, string>
     */
    protected function loadJsonPaths($locale): array
    {
        $words = [];
        foreach ($this->paths as $path) {
            foreach ($this->files->glob("{$path}/{$locale}/*.json") as $file) {
                $words += json_decode($this->files->get($file), true, 4, JSON_THROW_ON_ERROR);
            }
        }

        return $words;
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** A PDF as faithful pictures of its pages, drawn by poppler within bounds of time and memory. */
final class Pages
{
    private const MOST = 40;
    private const SECONDS = 25;
    /** Bytes of memory that drawing may take. */
    private const MEMORY = 1_000_000_000;
    /** Of the longer side, in pixels. */
    private const LONGEST = 1600;

    /**
     * @param string $folder where the pictures are put
     *
     * @return non-empty-list<string> the path of each page's PNG, in order
     *
     * @throws Problem where it is broken, locked, or too long
     */
    public static function draw(string $path, string $folder): array
    {
        $about = self::run(['pdfinfo', $path]);
        if (!$about->isSuccessful()) {
            throw self::refused(str_contains($about->getErrorOutput(), 'password')
                ? 'This PDF is locked with a password. Save it without one and try again.'
                : 'This PDF is broken, or did not come whole. Try it again.');
        }
        $count = preg_match('/^Pages:\s+(\d+)/m', $about->getOutput(), $m) === 1 ? (int) $m[1] : 0;
        if ($count < 1 || $count > self::MOST) {
            throw self::refused($count < 1
                ? 'This PDF has no pages.'
                : sprintf('This PDF has %d pages; at most %d are taken. Take out what is not needed and try again.', $count, self::MOST));
        }
        $drawn = self::run(['pdftoppm', '-png', '-scale-to', (string) self::LONGEST, $path, "$folder/page"]);
        $pages = (array) glob("$folder/page-*.png");
        sort($pages, \SORT_NATURAL);
        $pages = array_values(array_filter($pages, is_string(...)));
        if (!$drawn->isSuccessful() || count($pages) !== $count) {
            throw self::refused('This PDF could not be drawn. Print it to a new PDF and try that one.');
        }

        return $pages;
    }

    /** @param list<string> $command */
    private static function run(array $command): Process
    {
        $process = new Process(['prlimit', '--as='.self::MEMORY, '--core=0', '--', ...$command], null, ['LC_ALL' => 'C.UTF-8'], null, self::SECONDS);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw self::refused('This PDF takes too long to draw. Print it to a new PDF and try that one.');
        }

        return $process;
    }

    private static function refused(string $why): Problem
    {
        return Problem::invalid(['file' => $why]);
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** What happened in which order: sentences that name rising times of day, or that begin with a word of sequence. */
final class OrderOfEvents implements Proposes
{
    private const LEAST = 3;
    private const MOST = 6;
    private const LONGEST = 110;
    private const SEQUENCE = '/^(?:then|next|after (?:that|this)|afterwards|later|soon|finally|at last|first|second|third|in the end|meanwhile)\b[,:]?\s*/iu';

    public function from(Passage $passage): array
    {
        $timed = $told = [];
        $last = -1;
        $began = false;
        foreach ($passage->sentences as $i => $sentence) {
            if (preg_match('/(?<![\d.:])([01]?\d|2[0-3]):([0-5]\d)(?![\d:])/', $sentence->text, $m) === 1) {
                $at = 60 * (int) $m[1] + (int) $m[2];
                if ($at > $last) {
                    $timed[] = $sentence;
                    $last = $at;
                }
            }
            if (preg_match(self::SEQUENCE, $sentence->text) === 1) {
                // What it goes on from is the first event.
                if (!$began && $i > 0 && preg_match('/^first\b/iu', $sentence->text) !== 1) {
                    $told[] = $passage->sentences[$i - 1];
                }
                $began = true;
                $told[] = $sentence;
            }
        }
        $candidates = [];
        foreach ([$timed, $told] as $events) {
            if (count($events) >= self::LEAST) {
                $events = array_slice($events, 0, self::MOST);
                $candidates[] = Candidate::of(
                    'the order of events',
                    $events[0],
                    'order',
                    'Put these in the order in which they happened.',
                    '',
                    ['mode' => 'pairs', 'things' => array_map(static fn (Sentence $s, int $i): array => [
                        'id' => 't'.($i + 1), 'text' => '<p>'.Candidate::html(self::event($s->text)).'</p>',
                    ], $events, array_keys($events))],
                );
            }
        }

        return $candidates;
    }

    /** Without what would give its place away. */
    private static function event(string $text): string
    {
        $text = (string) preg_replace(self::SEQUENCE, '', $text);
        $text = (string) preg_replace('/\s*(?:\b(?:at|by|about)\s+)?(?<![\d.:])\d{1,2}:\d{2}(?![\d:])/iu', '', $text);
        $text = trim($text, " ,;:\u{2013}\u{2014}");
        $text = mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);

        return mb_strlen($text) <= self::LONGEST ? $text : (string) preg_replace('/\s+\S*$/u', '', mb_substr($text, 0, self::LONGEST)).' …';
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemType;

/** Gathers what the lines of one question say beside its key, and makes its document. */
final class NotedHead
{
    private const POINTS = '~^(.*?)\s*\[('.NoteReader::POINTS.')(?:\s*marks?)?\]$~uDs';
    private const NUMBER = '[-−]?\d+(?:[.,]\d+|/\d+)?';

    /** @var array<string, mixed> */
    private array $members = [];
    /** @var array<string, mixed> */
    private array $with = [];
    /** @var list<array{text: string, cost: string}> */
    private array $hints = [];
    private ?ItemType $type = null;
    /** @var array<string, mixed>|null a document that is given as it is */
    private ?array $whole = null;
    private int $at = 0;

    public function __construct(private readonly Names $names)
    {
    }

    /**
     * @param list<string> $words what the line begins with, and what stands with it
     *
     * @return bool whether it was such a line
     *
     * @throws NoteFault
     */
    public function take(array $words, string $rest, int $at, string $line): bool
    {
        $word = $words[0] ?? '';
        // A sentence may begin with such a word, too: only the sign behind it makes it one of these lines.
        if (in_array($word, ['title', 'skill', 'because', 'decimals', 'document'], true) && !str_starts_with($line, $word.':')) {
            return false;
        }
        $this->at = $at;

        return match ($word) {
            'title' => $this->set('title', $rest),
            'skill' => $this->set('skill', preg_match('/^\((\S+)\)$/D', $rest, $m) === 1 ? $m[1] : $this->names->skill($rest, $at)),
            'because' => $this->set('explanation', NoteText::html([$rest])),
            'decimals' => $this->set('decimals', (int) $rest),
            'hint' => $this->hint($words[1] ?? '0', $rest),
            'go back to' => $this->back($rest),
            'let' => $this->variable($rest),
            'where' => $this->constraint($rest, $line),
            'when' => $this->check($rest),
            'ask how sure' => $this->set('confidence', true),
            'ask for working' => $this->set('working', true),
            'said to all' => $this->of(self::unscored()),
            'as' => $this->as($rest),
            'with' => $this->with($rest),
            'document' => $this->whole = self::json($rest, $at, 'Behind “document:” stands a whole question as JSON, from { to }.'),
            default => false,
        } !== false;
    }

    /**
     * @param list<string>   $prompt
     * @param list<NoteLine> $key
     *
     * @return array<string, mixed>
     *
     * @throws NoteFault
     */
    public function whole(array $prompt, array $key): array
    {
        if ($this->whole !== null) {
            return $this->whole;
        }
        $points = '1';
        if ($prompt !== [] && preg_match(self::POINTS, $prompt[count($prompt) - 1], $m) === 1) {
            $prompt[count($prompt) - 1] = $m[1];
            $points = str_replace(',', '.', $m[2]);
        }
        $type = $this->type ?? self::typeOf($key);
        if ($type === null) {
            throw new NoteFault(
                $key === []
                    ? 'This question has no key. Write the answers below it: v and x before options, = before a number or words.'
                    : 'These lines are keys of more than one kind. Keep to one: options, = words or numbers, == expressions, > a passage, -> pairs.',
                $key[0]->at ?? 0,
            );
        }
        $rule = $key === [] ? [] : ($type->definition()->notes()?->rule($key, $this->names) ?? []);
        $text = NoteText::html(array_values(array_filter($prompt, static fn (string $l): bool => $l !== '')));

        return [
            'version' => ItemReader::VERSION,
            'type' => $type->value,
            'title' => $this->members['title'] ?? self::titleOf($prompt),
            'prompt' => $text,
            'points' => $points,
            'skill' => $this->members['skill'] ?? null,
            'explanation' => $this->members['explanation'] ?? '',
            'rule' => $this->with + $rule,
        ] + self::hintsOf($this->hints) + array_diff_key($this->members, ['title' => 1, 'skill' => 1, 'explanation' => 1]);
    }

    /** @param list<NoteLine> $key */
    public static function typeOf(array $key): ?ItemType
    {
        if ($key === []) {
            return null;
        }
        // The more particular stand behind: what is a number is words, too.
        foreach (array_reverse(ItemType::cases()) as $type) {
            if ($type->definition()->notes()?->areOf($key) === true) {
                return $type;
            }
        }

        return null;
    }

    /** @param list<string> $prompt what a question is called that was given no title */
    public static function titleOf(array $prompt): string
    {
        $plain = trim(html_entity_decode(strip_tags(str_replace('$', '', $prompt[0] ?? '')), ENT_QUOTES | ENT_HTML5, 'UTF-8'));

        return mb_strlen($plain) <= 60 ? $plain : rtrim(mb_substr($plain, 0, 59)).'…';
    }

    /**
     * @param list<array{text: string, cost: string}> $hints
     *
     * @return array<string, mixed>
     */
    private static function hintsOf(array $hints): array
    {
        $free = ($hints[0]['cost'] ?? '') === '0';
        $further = array_slice($hints, $free ? 1 : 0);

        return ['hint' => $free ? $hints[0]['text'] : ''] + ($further === [] ? [] : ['hints' => $further]);
    }

    private function set(string $member, mixed $value): bool
    {
        $this->members[$member] = $value;

        return true;
    }

    private static function unscored(): ItemType
    {
        foreach (ItemType::cases() as $type) {
            if (!$type->definition()->isScored()) {
                return $type;
            }
        }
        throw new \LogicException('Every type is scored.');
    }

    private function of(ItemType $type): bool
    {
        $this->type = $type;

        return true;
    }

    private function as(string $rest): bool
    {
        $type = ItemType::tryFrom($rest);
        if ($type === null && preg_match('/^[a-z]+$/D', $rest) === 1) {
            throw new NoteFault('Answers are of no type “'.$rest.'”. There are: '.implode(', ', ItemType::names()).'.', $this->at);
        }

        return $type !== null && $this->of($type);
    }

    private function hint(string $cost, string $rest): bool
    {
        $this->hints[] = ['text' => NoteText::html([$rest]), 'cost' => $cost];

        return true;
    }

    private function back(string $rest): bool
    {
        $parts = explode(': ', $rest, 2);

        return count($parts) === 2 && $this->set('goBack', ['title' => $parts[0], 'text' => NoteText::html([$parts[1]])]);
    }

    private function variable(string $rest): bool
    {
        if (preg_match('/^([a-z][a-z0-9]{0,19})\s*\(([^()]+)\)\s*=\s*(\S.*)$/uD', $rest, $m) === 1) {
            $cells = static fn (string $row): array => array_map(self::plain(...), Parts::split('/,\s+/', trim($row)));
            $this->members['variables'] = [
                ...$this->list('variables'),
                ['name' => $m[1], 'columns' => $cells($m[2]), 'rows' => array_map($cells, explode(';', $m[3]))],
            ];

            return true;
        }
        if (preg_match('/^([a-z][a-z0-9]{0,19})\s*(?:=|from|is|be)\s*(\S.*)$/uD', $rest, $m) !== 1) {
            return false;
        }
        $n = self::NUMBER;
        $said = trim($m[2]);
        $this->members['variables'] = [...$this->list('variables'), ['name' => $m[1]] + match (true) {
            preg_match("~^($n)\\s+to\\s+($n)(?:\\s+(?:in\\s+)?steps?(?:\\s+of)?\\s+($n))?$~uD", $said, $d) === 1 => [
                'from' => self::plain($d[1]), 'to' => self::plain($d[2]),
            ] + (isset($d[3]) ? ['step' => self::plain($d[3])] : []),
            preg_match("~^$n(?:\\s*,\\s+$n)+$~uD", $said) === 1 || preg_match("~^$n$~uD", $said) === 1 => [
                'choices' => array_map(self::plain(...), Parts::split('/,\s+/', $said)),
            ],
            default => ['is' => $said],
        }];

        return true;
    }

    /** A number as documents write it; what is none stays as it is. */
    private static function plain(string $text): string
    {
        return preg_match('~^'.self::NUMBER.'$~uD', trim($text)) === 1 ? str_replace(['−', ','], ['-', '.'], trim($text)) : trim($text);
    }

    private function constraint(string $rest, string $line): bool
    {
        // "Where is the …?" asks; "where h > l" holds.
        if (preg_match('/[<>=≤≥]/u', $rest) !== 1 || str_ends_with(rtrim($line), '?')) {
            return false;
        }
        $this->members['constraints'] = [...$this->list('constraints'), $rest];

        return true;
    }

    private function check(string $rest): bool
    {
        $parts = preg_split('/\s+then\s+/u', $rest);
        $given = $parts === false || count($parts) !== 2 ? null : NoteLine::within($parts[1], $this->at, $this->names);
        if ($given === null || $parts === false) {
            return false;
        }
        $credit = $given->credit ?? (['v' => '1', 'x' => '0'][explode(' ', $given->text)[0]] ?? $given->text);
        if (preg_match('~^(?:0|1|\d{1,3}/[1-9]\d{0,2})$~D', $credit) !== 1) {
            throw new NoteFault('Behind “then” stands v, x or a share such as 1/2: what such an answer earns.', $this->at);
        }
        $this->members['checks'] = [...$this->list('checks'), [
            'when' => $parts[0], 'credit' => $credit, 'feedback' => $given->feedback, 'misconception' => $given->idea,
        ]];

        return true;
    }

    private function with(string $rest): bool
    {
        if (preg_match('/^([a-zA-Z]{1,20})(?:\s*=\s*(\S.*))?$/uD', $rest, $m) !== 1) {
            return false;
        }
        $instead = 'Behind “with” stands a member of the rule, its value as JSON. Numbers that differ by student begin with “let”: '
            .'let h = 3.6 to 5 step 0.2.';
        $this->with[$m[1]] = isset($m[2]) ? (self::json('{"it":'.$m[2].'}', $this->at, $instead)['it'] ?? null) : true;

        return true;
    }

    /** @return list<mixed> */
    private function list(string $member): array
    {
        $list = $this->members[$member] ?? [];

        return is_array($list) ? array_values($list) : [];
    }

    /**
     * @param string $instead what is said where it is none
     *
     * @return array<string, mixed>
     *
     * @throws NoteFault
     */
    private static function json(string $text, int $at, string $instead): array
    {
        $read = json_decode($text, true, 32);
        if (!is_array($read)) {
            throw new NoteFault($instead, $at);
        }

        return array_combine(array_map(strval(...), array_keys($read)), $read);
    }
}

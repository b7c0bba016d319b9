<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Text;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\EditDistance;
use ChalkLadder\Core\Item\Folding;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Lexicon;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\TypedRule;
use ChalkLadder\Core\Item\WordPattern;

/** Short text: forms, compared after folding; spelling slips may be allowed by length. The first exact form wins, then the nearest. */
final readonly class TextRule extends TypedRule
{
    /** Characters of an answer that are looked at. */
    private const LONGEST = 500;
    private const LONGEST_FORM = 200;

    /** @param list<Form> $forms */
    public function __construct(
        public array $forms,
        public Folding $folding = new Folding(),
        public bool $allowSlips = false,
        public bool $anyOrder = false,
    ) {
    }

    public static function read(Node $node): self
    {
        $forms = [];
        foreach ($node->children('forms', 100) as $form) {
            $forms[] = new Form(
                $form->text('text', self::LONGEST_FORM),
                $form->rational('credit', '0', '1', '1'),
                $form->text('feedback', Said::LONGEST, ''),
                $form->textOrNull('misconception', 36),
                $form->bool('blanks', false),
            );
            $form->rejectUnknown();
        }
        $folding = new Folding();
        if ($node->has('folding')) {
            $f = $node->child('folding');
            $folding = new Folding(
                $f->bool('case', true),
                $f->bool('accents', false),
                $f->bool('punctuation', true),
                $f->bool('articles', false),
            );
            $f->rejectUnknown();
        }

        return new self($forms, $folding, $node->bool('allowSlips', false), $node->bool('anyOrder', false));
    }

    public function type(): ItemType
    {
        return ItemType::Text;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $text = mb_substr(TextResponse::textOf($response), 0, self::LONGEST);
        $given = $this->folded($text);
        $folded = array_map(fn (Form $f): string => $f->blanks ? "\0" : $this->folded($f->text), $this->forms);
        $at = array_search($given, $folded, true);
        if ($at === false) {
            $at = $this->patternFor($text) ?? $this->inequalityFor($text) ?? false;
        }
        $word = '';
        if ($at === false && $this->allowSlips) {
            [$at, $word] = self::slip($given, $folded);
        }
        if ($at === false) {
            return Outcome::of(BigRational::zero(), $word === '' ? '' : 'another word', $word === '' ? $given : sprintf('%s (“%s” is a word of its own)', $given, $word));
        }
        $form = $this->forms[$at];

        return Outcome::of(
            $form->credit,
            'form '.($at + 1),
            $given,
            $form->feedback,
            $form->misconception === null ? [] : [$form->misconception],
        );
    }

    public function credits(): array
    {
        return [BigRational::zero(), ...array_map(static fn (Form $f): BigRational => $f->credit, $this->forms)];
    }

    private function patternFor(string $text): ?int
    {
        foreach ($this->forms as $i => $form) {
            if ($form->blanks && WordPattern::of($form->text, $this->folding)->fits($this->folding->fold($text))) {
                return $i;
            }
        }

        return null;
    }

    /** `3 > x` says what `x < 3` says. */
    private function inequalityFor(string $text): ?int
    {
        $given = Inequality::read($text);
        if ($given === null) {
            return null;
        }
        foreach ($this->forms as $i => $form) {
            if (!$form->blanks && Inequality::read($form->text)?->equals($given) === true) {
                return $i;
            }
        }

        return null;
    }

    /**
     * The nearest form within the slips it allows. A slip is never in a figure or sign, and never makes another word.
     *
     * @param list<string> $forms folded; "\0" for one with blanks
     *
     * @return array{int|false, string} its place, or false and the word that it would have been taken for a slip of
     */
    private static function slip(string $given, array $forms): array
    {
        $at = false;
        $nearest = PHP_INT_MAX;
        $word = '';
        foreach ($forms as $i => $form) {
            $allowance = EditDistance::allowanceFor($form);
            $distance = EditDistance::upTo($given, $form, $allowance);
            if ($distance > $allowance || $distance >= $nearest || self::notLetters($given) !== self::notLetters($form)) {
                continue;
            }
            $other = self::otherWord($given, $form);
            if ($other !== null) {
                $word = $other;

                continue;
            }
            [$at, $nearest] = [$i, $distance];
        }

        return [$at, $at === false ? $word : ''];
    }

    private static function notLetters(string $text): string
    {
        return (string) preg_replace('/[\p{L}\p{M} ]+/u', '', $text);
    }

    /** A word of the answer that is none of the form's, but one of the language; null where only spaces differ. */
    private static function otherWord(string $given, string $form): ?string
    {
        if (str_replace(' ', '', $given) === str_replace(' ', '', $form)) {
            return null;
        }
        $asked = explode(' ', $form);
        foreach (array_diff(explode(' ', $given), $asked) as $word) {
            // The list spells organise; organize is the same word.
            $low = str_replace('iz', 'is', mb_strtolower($word));
            if (!in_array($low, $asked, true) && Lexicon::isWord($low) && self::nearTo($word, $asked)) {
                return $word;
            }
        }

        return null;
    }

    /** @param list<string> $asked */
    private static function nearTo(string $word, array $asked): bool
    {
        foreach ($asked as $one) {
            if (EditDistance::upTo($word, $one, 2) <= 2) {
                return true;
            }
        }

        return false;
    }

    /** Where the order of words is free, they are put in one. */
    private function folded(string $text): string
    {
        $text = $this->folding->fold($text);
        if ($this->anyOrder) {
            // What joins a list is not of it.
            $words = array_diff(explode(' ', str_replace(',', ' ', $text)), ['and', '']);
            sort($words, SORT_STRING);
            $text = implode(' ', $words);
        }

        return $text;
    }

    /** The same rule with one more accepted form, or with the credit of that form replaced. */
    private function withForm(Form $form): self
    {
        $key = $this->folded($form->text);
        $others = array_values(array_filter($this->forms, fn (Form $f): bool => $f->blanks || $this->folded($f->text) !== $key));

        return new self([...$others, $form], $this->folding, $this->allowSlips, $this->anyOrder);
    }

    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        return $this->withForm(new Form(
            mb_substr(trim(TextResponse::textOf($response)), 0, self::LONGEST_FORM),
            $credit,
            $feedback,
        ));
    }

    public function isProse(): bool
    {
        return true;
    }

    /** The first form that earns full credit. */
    public function key(): string
    {
        foreach ($this->forms as $form) {
            if ($form->credit->isEqualTo(1)) {
                return htmlspecialchars($form->text);
            }
        }

        return '';
    }

    public function accepted(): array
    {
        return array_map(static fn (Form $f): string => "“{$f->text}” for credit {$f->credit->simplified()}", $this->forms);
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_filter(
            array_map(static fn (Form $f): ?string => $f->misconception, $this->forms),
            is_string(...),
        )));
    }

    public function toArray(): array
    {
        return [
            'forms' => array_map(static fn (Form $f): array => $f->toArray(), $this->forms),
            'folding' => $this->folding->toArray(),
            'allowSlips' => $this->allowSlips,
        ] + ($this->anyOrder ? ['anyOrder' => true] : []);
    }

    public function defects(): array
    {
        $defects = [];
        $right = array_filter($this->forms, static fn (Form $f): bool => $f->credit->isEqualTo(1));
        if ($right === []) {
            $defects[] = Defect::keyless('No accepted form earns full credit, so there is no key.');
        }
        $seen = [];
        foreach ($this->forms as $i => $form) {
            $text = ($form->blanks ? '*' : '').$this->folded($form->text);
            if ($text === '' || $text === '*') {
                $defects[] = Defect::blocking(sprintf('Form %d is empty.', $i + 1));
            } elseif (isset($seen[$text])) {
                $defects[] = Defect::blocking(sprintf(
                    'Forms %d and %d are the same after folding; only the first counts.',
                    $seen[$text],
                    $i + 1,
                ));
            }
            $seen[$text] ??= $i + 1;
        }

        return [...$defects, ...$this->neighbours()];
    }

    /** @return list<Defect> words one slip away from a form that are words of their own */
    private function neighbours(): array
    {
        $defects = [];
        $listed = array_map(fn (Form $f): string => $this->folding->fold($f->text), $this->forms);
        foreach ($this->allowSlips ? $this->forms : [] as $i => $form) {
            if ($form->blanks || !$form->credit->isPositive() || EditDistance::allowanceFor($listed[$i]) === 0) {
                continue;
            }
            foreach (explode(' ', $listed[$i]) as $word) {
                $near = array_diff(Lexicon::neighbours(mb_strtolower($word)), $listed);
                if ($near !== []) {
                    $defects[] = Defect::advice(sprintf(
                        '“%s” is one slip away from “%s”: a word of its own, so it is no slip. List it if it is to earn something.',
                        implode('”, “', array_slice($near, 0, 5)),
                        $word,
                    ));
                }
            }
        }

        return $defects;
    }
}

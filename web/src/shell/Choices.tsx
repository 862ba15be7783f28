import { useTranslation } from 'react-i18next';
import { themes, usePreferences } from '../kit/preferences.ts';
import { languages } from '../words/index.ts';

const choice =
  'min-h-9 px-2.5 rounded-sm text-sm text-rail-soft hover:text-rail-ink aria-pressed:bg-rail-raised aria-pressed:font-semibold aria-pressed:text-rail-ink';

/** Language and colours, on the dark ground of the rail. */
export function Choices() {
  const { t } = useTranslation('shell');
  const { language, theme, choose } = usePreferences();
  return (
    <div className="flex flex-col gap-1.5">
      <fieldset className="flex">
        <legend className="sr-only">{t('language')}</legend>
        {languages.map((code) => (
          <button
            key={code}
            type="button"
            lang={code}
            aria-pressed={language === code}
            onClick={() => choose({ language: code })}
            className={choice}
          >
            {{ en: 'English', es: 'Español' }[code]}
          </button>
        ))}
      </fieldset>
      <fieldset className="flex">
        <legend className="sr-only">{t('colours')}</legend>
        {themes.map((name) => (
          <button
            key={name}
            type="button"
            aria-pressed={theme === name}
            onClick={() => choose({ theme: name })}
            className={choice}
          >
            {t(`theme.${name}`)}
          </button>
        ))}
      </fieldset>
    </div>
  );
}

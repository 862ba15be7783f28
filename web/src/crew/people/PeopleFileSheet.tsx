import { type PeopleField, type PeopleFileRead, peopleFields } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useWrite } from '../../garden/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field, FileField, firstFault, hasFields, useRemedy } from '../../kit/forms/index.ts';
import { Sheet } from '../../kit/screens/index.ts';

/** People from a spreadsheet: chosen, looked at with what each column is, and taken in. */
export function PeopleFileSheet({ onClose }: { onClose(): void }) {
  const { t } = useTranslation('people');
  const remedy = useRemedy();
  const [csv, setCsv] = useState('');
  const [read, setRead] = useState<PeopleFileRead | null>(null);
  const look = useWrite('readPeopleFile', { isShownHere: hasFields });
  const take = useWrite('readPeopleFile', {
    say: ({ data }) => t('list.taken', { count: data.added }),
    isShownHere: hasFields,
  });
  const lookAt = (text: string, mapping: PeopleFileRead['mapping'] | null) =>
    look.mutate(
      { body: { csv: text, mapping, dry: true } },
      { onSuccess: ({ data }) => setRead(data), onError: () => setRead(null) },
    );
  const onFile = async (file: File | null) => {
    const text = file ? await file.text() : '';
    setCsv(text);
    setRead(null);
    if (text) lookAt(text, null);
  };
  const choose = (field: PeopleField, column: string) => {
    const { [field]: _, ...rest } = read!.mapping;
    lookAt(csv, column === '' ? rest : { ...rest, [field]: column });
  };
  const count = (stands: string) => read?.rows.filter((row) => row.stands === stands).length ?? 0;
  return (
    <Sheet open title={t('list.title')} onClose={onClose}>
      <div className="flex flex-col gap-4">
        <p className="text-ink-soft">{t('list.lead')}</p>
        <FileField
          label={t('list.file')}
          hint={t('list.fileHint')}
          error={firstFault(take.error ?? look.error)}
          accept=".csv,text/csv,text/plain"
          onFile={(file) => void onFile(file)}
        />
        {read && (
          <>
            <fieldset className="grid grid-cols-2 gap-3">
              <legend className="mb-1 font-semibold">{t('list.columns')}</legend>
              {peopleFields.map((field) => (
                <Field key={field} label={t(`list.field.${field}`)}>
                  {(props) => (
                    <Select
                      {...props}
                      value={read.mapping[field] ?? ''}
                      onChange={(value) => choose(field, value)}
                      options={[
                        { value: '', label: t('list.none') },
                        ...read.columns.map((column) => ({ value: column, label: column })),
                      ]}
                    />
                  )}
                </Field>
              ))}
            </fieldset>
            <p>{t('list.sum', { fresh: count('new'), known: count('known'), broken: count('broken') })}</p>
            <p>
              <Button
                look="act"
                disabled={count('new') === 0 || take.isPending}
                onClick={() =>
                  take.mutate({ body: { csv, mapping: read.mapping, dry: false } }, { onSuccess: onClose })
                }
              >
                {t('list.take', { count: count('new') })}
              </Button>
            </p>
            <ul className="text-sm">
              {read.rows.map((row) => (
                <li key={row.line} className="border-line border-b py-1.5">
                  <span className="text-ink-soft">{t('list.line', { line: row.line })}</span> {row.name}{' '}
                  <strong className={row.stands === 'broken' ? 'text-beet' : 'text-leaf'}>
                    {t(`list.stands.${row.stands}`)}
                  </strong>
                  {row.errors.map((error) => (
                    <span key={`${error.field} ${error.code}`} className="block text-beet">
                      {t(`list.field.${error.field as PeopleField}`)}:{' '}
                      {remedy(error.limit === undefined ? error.code : `${error.code}:${error.limit}`)}
                    </span>
                  ))}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </Sheet>
  );
}

/** The other supplier's own list of 60 registers in his notation and names, to paste as the items of one lane. */
export function skidList(): string {
  const rows: string[] = [];
  let register = 1400;
  const add = (name: string, type: string, words: number, unit: string) => {
    rows.push([name, `w${register}`, type, unit].join('\t'));
    register += words;
  };
  for (let cylinder = 1; cylinder <= 6; cylinder++) {
    add(`Cyl${cylinder}_SucT`, 'REAL', 2, 'degC');
    add(`Cyl${cylinder}_DisT`, 'REAL', 2, 'degC');
    add(`Cyl${cylinder}_Load`, 'REAL', 2, '%');
    add(`Cyl${cylinder}_Starts`, 'UDINT', 2, '');
  }
  for (const name of ['MotorAmps', 'MotorKW', 'MotorHours', 'OilTemp', 'OilLevel', 'OilPressMin']) {
    add(name, 'REAL', 2, '');
  }
  for (let bank = 1; bank <= 4; bank++) {
    add(`Cond${bank}_FanSpd`, 'REAL', 2, '%');
    add(`Cond${bank}_FanHrs`, 'UDINT', 2, 'h');
    add(`Cond${bank}_InT`, 'REAL', 2, 'degC');
    add(`Cond${bank}_OutT`, 'REAL', 2, 'degC');
  }
  for (let alarm = 1; alarm <= 8; alarm++) add(`AlmWord${alarm}`, 'DWORD', 2, '');
  for (const name of ['RunMode', 'SeqStep', 'LeadLag', 'FaultCode', 'WarnCode', 'HeartBeat']) add(name, 'DINT', 2, '');
  return `Symbol\tRegister\tFormat\tRemark\n${rows.join('\n')}\n`;
}
